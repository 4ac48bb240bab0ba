import { Group, Stack, Text, VisuallyHidden } from '@mantine/core';
import type { Container } from '#core/contract';
import { countOf, sayPortions } from '#core/kitchen';
import { fillLimitMl, thicknessMm, type FillFigures, type PackGroup } from '#core/pack';
import { portionName } from '#core/session';
import { useMeasures } from '../sync/measures.ts';

/** One container from the front at a scale, with its fill line; a bag lies flat and is seen from above. */
function Drawn({ container: c, ml, scale }: { container: Container; ml: number; scale: number }) {
  if (c.shape === 'bag') {
    const w = c.widthMm * scale;
    const h = c.heightMm * scale;
    return (
      <g>
        <rect x="0" y="0" width={w} height={h} rx="4" fill="var(--pale)" stroke="var(--rim)" strokeWidth="1.6" />
        <path d={`M0 ${h * 0.08}H${w}`} stroke="var(--rim)" strokeWidth="2.6" />
        <rect x={w * 0.05} y={h * 0.14} width={w * 0.9} height={h * 0.82} rx="4" fill="var(--frost)" stroke="var(--rim-soft)" />
      </g>
    );
  }
  const w = c.widthMm * scale;
  const foot = c.footMm * scale;
  const h = c.heightMm * scale;
  const fill = thicknessMm(c, ml) * scale;
  const inset = (w - foot) / 2;
  const at = (up: number): number => inset * (1 - up / h);
  return (
    <g>
      <path d={`M${at(fill)} ${h - fill}L${inset} ${h}H${w - inset}L${w - at(fill)} ${h - fill}Z`} fill="var(--frost)" />
      <path d={`M0 0L${inset} ${h}H${w - inset}L${w} 0`} fill="none" stroke="var(--rim)" strokeWidth="1.8" />
      <rect x={-2} y={-4} width={w + 4} height="4.500" rx="1" fill="var(--rim)" />
      <path d={`M${at(fill) - 2} ${h - fill}H${w - at(fill) + 2}`} stroke="var(--tomato)" strokeWidth="2" />
    </g>
  );
}

/** The containers of a choice, drawn to one scale with the red line to fill to; what each weighs full stands beside. */
export function FillView({
  groups,
  kind,
  densityGPerMl,
  cubes,
  figures,
}: {
  groups: readonly PackGroup[];
  kind: string;
  densityGPerMl: number | undefined;
  cubes: boolean;
  figures: FillFigures;
}) {
  const { sayMass, sayVolume } = useMeasures();
  const tallest = Math.max(...groups.map((g) => g.container.heightMm));
  const scale = Math.min(0.75, 92 / tallest);
  return (
    <Stack gap={14}>
      {groups.map((g) => {
        const c = g.container;
        const shown = Math.min(g.packs, 12);
        const step = c.widthMm * scale + 12;
        const thick = thicknessMm(c, g.mlEach);
        const room = c.shape === 'bag' ? undefined : c.heightMm - thick;
        const full = densityGPerMl === undefined ? undefined : g.mlEach * densityGPerMl + (c.tareG ?? 0);
        return (
          <div key={c.id + String(g.portionsEach)}>
            <svg
              width="100%"
              height={c.heightMm * scale + 10}
              viewBox={`-4 -6 ${Math.max(560, shown * step + 40)} ${c.heightMm * scale + 10}`}
              preserveAspectRatio="xMinYMin meet"
              role="img"
              aria-label={`${g.packs} ${c.name}, ${sayPortions(g.portionsEach)} ${portionName(kind, g.portionsEach)} each, filled ${Math.round(thick)} mm`}
            >
              {Array.from({ length: shown }, (_, i) => (
                <g key={i} transform={`translate(${i * step} 0)`}>
                  <Drawn container={c} ml={g.mlEach} scale={scale} />
                </g>
              ))}
              {g.packs > shown && (
                <text x={shown * step + 4} y={c.heightMm * scale * 0.6} fontSize="16" fill="var(--ink)">
                  +{g.packs - shown}
                </text>
              )}
            </svg>
            <Group gap={8} align="baseline">
              <b>
                {g.packs} × {c.name}: {sayPortions(g.portionsEach)} {portionName(kind, g.portionsEach)} each
              </b>
              <span>
                {sayVolume(Math.round(g.mlEach))}
                {full !== undefined
                  ? `, ${sayMass(Math.round(full))} with the ${c.shape}${c.tareG === undefined ? ' (its own weight not known yet)' : ''}`
                  : ''}
              </span>
            </Group>
            <Text component="div" size="xs" c="dimmed">
              {cubes
                ? 'Loose frozen cubes; press the air out.'
                : c.shape === 'bag'
                  ? `Press it flat, about ${Math.round(thick)} mm; at most ${sayVolume(Math.round(fillLimitMl(c, figures)))} go in.`
                  : `To the red line, ${Math.round(thick)} mm high: ${Math.round(room ?? 0)} mm stay for the ice (at most ${sayVolume(Math.round(fillLimitMl(c, figures)))}).`}
            </Text>
          </div>
        );
      })}
      <VisuallyHidden component="p">{countOf(groups.length, 'container kind')}</VisuallyHidden>
    </Stack>
  );
}
