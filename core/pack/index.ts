export { choosePacks, freeAfter, type Free, type PackChoice, type PackGroup, type PackResult, type PackWish } from './choose.ts';
export { codeFrom, codeLink, codeSigns, isCode, readCode, scannedCode, type TypedCode } from './code.ts';
export { cubeRounds, cubesThatFit, fillLimitMl, headspaceOf, outerMl, thicknessMm, type CubeRounds, type FillFigures } from './fill.ts';
export * from './label/index.ts';
export * from './reheat/index.ts';
export { a4Grid21, labelSpots, type LabelGrid, type LabelSpot } from './sheet.ts';
export { kindPaths } from './kinds.ts';
export { leadingMm, ptPerMm, setText, textWidthMm, type Weight } from './text.ts';
