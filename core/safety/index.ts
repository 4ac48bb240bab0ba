export { cautions, cautionsFor, type Caution, type CautionPlace, type SaidCaution } from './cautions.ts';
