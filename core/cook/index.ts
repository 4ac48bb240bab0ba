export { doneTask, sayTask, tasksFor, type LastTime, type LastTimes, type Task } from './tasks.ts';
export { checkSchedule, type ScheduleFault } from './check.ts';
export { scheduler, scheduleTasks, type NoSchedule, type Schedule, type ScheduleProblem, type ScheduleResult } from './schedule.ts';
export { anotherDay, scheduleModel, type Kept, type Kitchen, type Pin, type Progress, type Sitting, type Slot } from './network.ts';
export { closingTasks, iceBathMinutes, type ClosingInput, type Follow } from './closing.ts';
export { coolingClock, type CoolingClock, type CoolingLimits } from './cooling.ts';
export { dipped, ladled, sayMeasureError, type MeasuredYield, type MeasureYield } from './measure.ts';
export { prepRates, prepGroup, type PrepRate } from './data/prepRates.ts';
