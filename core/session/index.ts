export * from './answer/index.ts';
export { afterWaiting, worldOfGround, type Ground, type WaitingEntries } from './ground.ts';
export { batchView, packingFor, portionMlOf, yieldOf, type BatchView, type BatchYield } from './batch.ts';
export { countedPacks } from './countPacks.ts';
export { dinnerQuarters, dinnersLeft } from './dinners.ts';
export { find, type FindEntry } from './find.ts';
export { fitCheck, type Fit, type FitRow } from './fit.ts';
export {
  containerFacts,
  filledData,
  unsaltedPacks,
  labelContent,
  lotFacts,
  lowSaltPlateG,
  portionName,
  type ContainerFacts,
  type FillPlan,
  type LotFacts,
} from './labels.ts';
export { sessionLog, type SessionLog, type TaskLog } from './log.ts';
export { sessionState, stageFlags, stageOf, stages, type BatchFacts, type Flags, type SessionState, type Stage } from './state.ts';
export { groupOf, saysLast, supplies, type EatenDay, type Supplies, type Supply } from './supply.ts';
export { asksAboutDinner, thawHoursOf, todayView, type TodayView, type WeekDay } from './today.ts';
export { sessionStanding, sessionView, type ListedLine, type SessionView, type TaskView } from './view.ts';
export { alarmsOf, cooksNow, leftOf, sayAlarm, shortTitle, timersNow, type CookNow, type RunningTimer } from './worktop.ts';
export { baseNeeds, drawnMl, type BaseNeed } from './bases.ts';
export { lastTimes, learnedFrom, runsOf, trimsOf, type Run } from './runs.ts';
export { allergensOf, scaleOptionsOf, type World } from './world.ts';
export { nextStep, sayEvent } from './say.ts';
export type * from './answers.ts';
