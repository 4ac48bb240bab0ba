import { createHash } from 'node:crypto';

/** An id that stays the same for the same certificate, so that installing it twice is installing it once. */
function uuidOf(...parts: string[]): string {
  const h = createHash('sha256').update(parts.join('\n')).digest('hex');
  return [h.slice(0, 8), h.slice(8, 12), `5${h.slice(13, 16)}`, `8${h.slice(17, 20)}`, h.slice(20, 32)].join('-').toUpperCase();
}

/** The authority as a configuration profile, which phones and tablets of that make take instead of a bare certificate. */
export function appleProfile(name: string, der: Buffer): string {
  const data = der.toString('base64');
  return `<?xml version="1.0" encoding="UTF-8"?>
<!DOCTYPE plist PUBLIC "-//Apple//DTD PLIST 1.0//EN" "http://www.apple.com/DTDs/PropertyList-1.0.dtd">
<plist version="1.0"><dict>
<key>PayloadContent</key><array><dict>
<key>PayloadCertificateFileName</key><string>tambo-home.crt</string>
<key>PayloadContent</key><data>${data}</data>
<key>PayloadDisplayName</key><string>Tambo at ${name}</string>
<key>PayloadIdentifier</key><string>local.tambo.root.${uuidOf(data)}</string>
<key>PayloadType</key><string>com.apple.security.root</string>
<key>PayloadUUID</key><string>${uuidOf(data)}</string>
<key>PayloadVersion</key><integer>1</integer>
</dict></array>
<key>PayloadDisplayName</key><string>Tambo at ${name}</string>
<key>PayloadDescription</key><string>Lets this device see that Tambo at ${name} is the one in your kitchen. It vouches for names of the home network only.</string>
<key>PayloadIdentifier</key><string>local.tambo.${uuidOf('profile', data)}</string>
<key>PayloadRemovalDisallowed</key><false/>
<key>PayloadType</key><string>Configuration</string>
<key>PayloadUUID</key><string>${uuidOf('profile', data)}</string>
<key>PayloadVersion</key><integer>1</integer>
</dict></plist>
`;
}
