import { readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';

const css = readFileSync(path.join(import.meta.dirname, 'app/palette.css'), 'utf8');
const [light = '', dark = ''] = css.split("[data-mantine-color-scheme='dark']");
const colourOf =
  (theme: string) =>
  (name: string): string => {
    const m = new RegExp(`--${name}:\\s*(#[0-9a-f]{6})`, 'i').exec(theme);
    if (!m?.[1]) throw new Error(`no colour ${name}`);
    return m[1];
  };

/** Relative luminance and contrast as WCAG 2.2 has them. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5]
    .map((i) => parseInt(hex.slice(i, i + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].toSorted((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

const inks = [
  'ink',
  'quiet',
  'rim',
  'tomato',
  'saffron',
  'leaf',
  'plum',
  ...['meal', 'kit', 'base', 'puree', 'broth', 'aromatic', 'dried', 'bread'].map((k) => `kind-${k}`),
];

describe.each([
  ['light', colourOf(light)],
  ['dark', colourOf(dark)],
])('the %s palette', (_theme, colour) => {
  it.each(inks)('%s reads at 4.5:1 or more on glaze, card, frost and pale frost', (ink) => {
    for (const ground of ['glaze', 'card', 'frost', 'pale'])
      expect(contrast(colour(ink), colour(ground)), ground).toBeGreaterThanOrEqual(4.5);
  });
  it.each([
    ['saffron', 'saffron-pale'],
    ['tomato', 'tomato-pale'],
    ['leaf', 'leaf-pale'],
    ['on-btn', 'btn'],
    ['on-btn', 'btn-hover'],
    ['on-rim', 'rim'],
    ['on-toast', 'toast'],
    ['off-ink', 'off'],
    ['rail-ink', 'rail'],
    ['rail-on-ink', 'rail-on'],
    ...['meal', 'kit', 'base', 'puree', 'broth', 'aromatic', 'dried', 'bread'].map((k) => ['on-rim', `kind-${k}`]),
  ] as [string, string][])('%s reads on %s', (ink, ground) => {
    expect(contrast(colour(ink), colour(ground))).toBeGreaterThanOrEqual(4.5);
  });
});
