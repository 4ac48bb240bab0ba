export { levelsOf, missingSigns, movedAt, type LabelContent, type MovedPart } from './content.ts';
export { drawLabel, type DrawItem, type DrawnLabel, type LabelResult, type QrModules } from './draw.ts';
