import { sayPortions } from '#core/kitchen';

/** A day's dinner as plates on the table: full ones are planned from the freezer, a part-plate is drawn as its part. */
export function Plates({ quarters, covered, size = 26 }: { quarters: number; covered: number; size?: number }) {
  const plates = Math.ceil(quarters / 4);
  return (
    <svg
      width={size}
      height={plates * 11 + 4}
      viewBox={`0 0 26 ${plates * 11 + 4}`}
      role="img"
      aria-label={`${sayPortions(quarters / 4)} plates, ${sayPortions(covered / 4)} planned`}
    >
      {Array.from({ length: plates }, (_, i) => {
        const y = (plates - 1 - i) * 11 + 2;
        const whole = Math.min(4, quarters - i * 4) / 4;
        const fill = Math.max(0, Math.min(4, covered - i * 4)) / 4;
        return (
          <g key={i}>
            <ellipse cx="13" cy={y + 5} rx={11 * Math.max(0.6, whole)} ry="4.3" fill="var(--card)" stroke="var(--rim)" strokeWidth="1.5" />
            {fill > 0 && (
              <ellipse cx="13" cy={y + 5} rx={11 * Math.max(0.6, whole) * Math.sqrt(fill)} ry={4.3 * Math.sqrt(fill)} fill="var(--rim)" />
            )}
          </g>
        );
      })}
    </svg>
  );
}
