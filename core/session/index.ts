export { batchView, cubeMlOf, packingFor, portionMlOf, yieldOf, type BatchView, type BatchYield } from './batch.ts';
export { countedPacks } from './countPacks.ts';
export { dinnerFood, dinnerQuarters, dinnersLeft, type DinnerFood } from './dinners.ts';
export { labelAllergy, labelSays, packAllergens, packWarnings, printAgain, sayWarning, tableOf } from './allergy.ts';
export { heatBasis, heatOfPack, heatRowsOf, heatTexts, packBasis, packHeat, type HeatBasis, type HeatTexts } from './heat.ts';
export { fitCheck, type Fit, type FitRow } from './fit.ts';
export {
  packTexts,
  filledData,
  unsaltedPacks,
  labelContent,
  packableOf,
  lotFacts,
  lowSaltPlateG,
  type FillPlan,
  type LotFacts,
} from './labels.ts';
export { portionName, sayContents, sayUndated } from './packWords.ts';
export { aboutEach, emptyLog, foldLog, sessionLog, type SessionLog, type TaskLog } from './log.ts';
export {
  nextStep,
  sessionState,
  stageFlags,
  stageOf,
  stages,
  type BatchFacts,
  type Flags,
  type SessionState,
  type Stage,
} from './state.ts';
export { brothUnitMl, eatenUnits, saysLast, supplies, type EatenDay, type Supplies, type Supply } from './supply.ts';
export { asksAboutDinner, otherwise } from './evening.ts';
export { todayView, type TodayView, type WeekDay } from './today.ts';
export { dayOfJob, longJobs, type LongJob } from './longJobs.ts';
export { paceOf, type Promise } from './hours.ts';
export { sessionStanding, sessionView, type ListedLine, type SessionView, type TaskView } from './view.ts';
export { shortTitle } from './titles.ts';
export { alarmsOf, cooksNow, doneEarly, isClosed, leftOf, sayAlarm, timersNow, type CookNow, type RunningTimer } from './worktop.ts';
export { baseNeeds, drawnMl, type BaseNeed } from './bases.ts';
export { lastTimes, learnedFrom, learnedTimes, runOf, runsOf, trimsOf } from './runs.ts';
export type { Run } from './run.ts';
export { allergensOf, gearOf, scaleIn, withDensity, type World } from './world.ts';
export { sayEvent } from './say.ts';
export { likedOf, ratingsOf, type Liked, type Rating } from './liking.ts';
export { ateOtherwise, newestWord, saidOfTable, type AteOtherwise } from './table.ts';
