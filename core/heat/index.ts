export { boilUpMinutes, burnerOf, type Burner } from './boilUp.ts';
export { coolAll, coolingWays, iceKgFor, lumpedMinutes, usualTapC, type CoolingWay, type Pot } from './cooling.ts';
export { boiledOffMl, surfaceM2, trueDensity, type Spread } from './evaporation.ts';
