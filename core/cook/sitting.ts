import type { Stretch } from './schedule/index.ts';
import type { Task } from './tasks.ts';

/** Hands and gear of a session. Minutes count from where the plan begins. */
export interface Kitchen {
  cooks: readonly { id: string; name: string; away?: readonly Stretch[] }[];
  /** How many of each there are; a kind that is not named does not limit. An oven's are its shelves. */
  capacity: Partial<Record<Task['needs'][number]['kind'], number>>;
  /** What each pot holds to the brim; when it is said, a pot is held by its dish until it is washed. */
  potsMl?: readonly number[];
  /** Shelves of each oven where there are several; else `capacity` says it. */
  ovens?: readonly number[];
  /** Where pots are washed up; one when nothing is said. */
  sinks?: number;
  /** Baths of cold water or ice at a time; one when nothing is said. */
  iceBaths?: number;
  /** All clean work on the boards before any raw fish or meat. */
  cleanFirst?: boolean;
  /** Boards to cut on; without a number there are enough. */
  boards?: number;
  /** When loud machines rest. */
  quiet?: readonly Stretch[];
}

/** What has happened to a task so far. Minutes count from now. */
export type Progress = { state: 'done' | 'skipped'; agoMin?: number } | { state: 'running'; handsLeftMin: number; waitLeftMin: number };

/** Where a cook wants a task to stand. */
export interface Pin {
  taskId: string;
  startMin: number;
  cookId?: string;
}

/** Where a task stands in an order that was taken, with its board or bowl and the wash before it. */
export interface Kept extends Pin {
  unit?: number;
  washMin?: number;
}

/** What a session is laid over hands and gear from. */
export interface Sitting {
  tasks: readonly Task[];
  kitchen: Kitchen;
  /** What is done, skipped or running, for planning again from now. */
  progress: ReadonlyMap<string, Progress>;
  pins?: readonly Pin[];
}

/** A placed task as every page shows it. */
export interface Slot {
  taskId: string;
  cookId: string;
  startMin: number;
  handsEndMin: number;
  endMin: number;
  /** Minutes of washing just before it. */
  washMin?: number;
  /** Which board or bowl, from 0. */
  unit?: number;
}
