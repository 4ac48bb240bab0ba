import { useEffect, useState } from 'react';

/** How often a picture is asked for again while this device is still sending it, and after how long. */
const mostAgain = 8;
const againMs = 700;

/** A picture of the household by its id; one that was only just chosen may still be on its way to the server. */
export function Picture({ id, alt, className }: { id: string; alt: string; className?: string | undefined }) {
  const [again, setAgain] = useState(0);
  const [missing, setMissing] = useState(false);
  useEffect(() => {
    if (!missing || again >= mostAgain) return undefined;
    const timer = setTimeout(() => {
      setMissing(false);
      setAgain(again + 1);
    }, againMs);
    return () => clearTimeout(timer);
  }, [missing, again]);
  if (missing) return null;
  return (
    <img
      className={className}
      src={`/api/pictures/${encodeURIComponent(id)}${again > 0 ? `?again=${again}` : ''}`}
      alt={alt}
      onError={() => setMissing(true)}
    />
  );
}
