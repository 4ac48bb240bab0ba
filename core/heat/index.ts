export { boilUpMinutes, burnerOf, type Burner } from './boilUp.ts';
export { boiledOffMl, surfaceM2, trueDensity, type Spread } from './evaporation.ts';
