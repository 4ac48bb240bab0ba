import type { Load } from '#core/recipe';

/** Height of the drawing's ground line. */
const ground = 112;

/** How high food stands in a vessel, 0 to 1 of its inside. */
function Inside({ w, h, share, limit }: { w: number; h: number; share: number; limit: number }) {
  const food = Math.max(3, h * Math.min(1, share));
  const line = h * (1 - limit);
  return (
    <g>
      <path d={`M1.500 ${h - food}V${h - 8}a7 7 0 0 0 7 7H${w - 8.5}a7 7 0 0 0 7-7V${h - food}Z`} fill="var(--frost)" />
      <path d={`M2 ${line}H${w - 2}`} stroke="var(--tomato)" strokeWidth="2" strokeDasharray="4 3" />
    </g>
  );
}

function Pot({ w, h, share, limit }: { w: number; h: number; share: number; limit: number }) {
  return (
    <g>
      <Inside w={w} h={h} share={share} limit={limit} />
      <path d={`M0 0V${h - 8}a8 8 0 0 0 8 8H${w - 8}a8 8 0 0 0 8-8V0`} fill="none" stroke="var(--rim)" strokeWidth="2.600" />
      <path d={`M-12 ${h * 0.16}H0M${w} ${h * 0.16}h12`} stroke="var(--rim)" strokeWidth="5" strokeLinecap="round" />
    </g>
  );
}

function Bowl({ w, h, share, limit }: { w: number; h: number; share: number; limit: number }) {
  return (
    <g>
      <Inside w={w} h={h} share={share} limit={limit} />
      <path d={`M0 0L6 ${h - 8}a8 8 0 0 0 8 8H${w - 14}a8 8 0 0 0 8-8L${w} 0`} fill="none" stroke="var(--rim)" strokeWidth="2.600" />
      <path
        d={`M${w / 2 - 13} ${h - 7}L${w / 2} ${h - 15}L${w / 2 + 13} ${h - 7}`}
        fill="none"
        stroke="var(--kind-base)"
        strokeWidth="2.600"
      />
    </g>
  );
}

function Oven({ w, h, full }: { w: number; h: number; full: number }) {
  return (
    <g>
      <rect width={w} height={h} rx="6" fill="var(--card)" stroke="var(--rim)" strokeWidth="2.600" />
      {[0.42, 0.8].map((y, i) => (
        <g key={y}>
          <path d={`M6 ${h * y}H${w - 6}`} stroke="var(--rim)" strokeWidth="2" />
          {(i === 0 || full > 0.5) && (
            <rect
              x="12"
              y={h * y - 11}
              width={(w - 24) * (i === 0 ? Math.min(1, full * 2) : Math.min(1, full * 2 - 1))}
              height="9"
              rx="2"
              fill="var(--saffron-pale)"
              stroke="var(--saffron-fill)"
              strokeWidth="1.500"
            />
          )}
        </g>
      ))}
    </g>
  );
}

function Steamer({ w, h, share }: { w: number; h: number; share: number }) {
  return (
    <g>
      <rect y={h * 0.6} width={w} height={h * 0.4} rx="6" fill="var(--card)" stroke="var(--rim)" strokeWidth="2.600" />
      <rect
        y={h * 0.16}
        x="3"
        width={w - 6}
        height={h * 0.4}
        rx="4"
        fill="var(--leaf-pale)"
        stroke="var(--rim)"
        strokeWidth="2.600"
        opacity={0.4 + 0.6 * share}
      />
      <path d={`M8 ${h * 0.1}q${w / 2 - 8} -${h * 0.14} ${w - 16} 0`} fill="none" stroke="var(--rim)" strokeWidth="2.600" />
    </g>
  );
}

/** One vessel with what is in it, drawn to the litres it holds; the dashed line is how far it may be filled. */
export function VesselDrawing({ load, vessel }: { load: Load; vessel: Load['vessels'][number] }) {
  const size = Math.min(1, Math.max(0.5, Math.cbrt(vessel.brimMl / 9000)));
  const pot = load.use === 'pot' || load.use === 'dip';
  const w = pot ? 104 * size : load.use === 'bowl' ? 74 : 84;
  const h = pot ? 92 * size : load.use === 'bowl' ? 70 : 76;
  const share = load.eachMl / vessel.brimMl;
  const limit = vessel.usableMl / vessel.brimMl;
  return (
    <svg width={w + 30} height={ground} viewBox={`-15 0 ${w + 30} ${ground}`} aria-hidden="true">
      <g transform={`translate(0 ${ground - h - 4})`}>
        {pot && <Pot w={w} h={h} share={share} limit={limit} />}
        {load.use === 'bowl' && <Bowl w={w} h={h} share={share} limit={limit} />}
        {load.use === 'oven' && <Oven w={w} h={h} full={load.fill} />}
        {load.use === 'steamer' && <Steamer w={w} h={h} share={load.fill} />}
      </g>
    </svg>
  );
}
