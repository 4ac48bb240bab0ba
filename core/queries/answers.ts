import type {
  Container,
  Day,
  DocumentTable,
  Eater,
  Equipment,
  Figures,
  Guests,
  Household,
  Id,
  Instant,
  Kind,
  LifeSnapshot,
  Meal,
  Place,
  Session,
} from '#core/contract';
import type { IngredientRow, LifeRow, ReferenceRow } from '#core/kitchen';
import type { LabelContent } from '#core/pack';
import type { Learned } from '#core/recipe';
import type { SaidCaution } from '#core/safety';
import type { Cold, ColdState, Due, KnownDish, PackState, PackStatus, PlaceRoom } from '#core/store';
import type { AteOtherwise, HeatTexts, LongJob, SessionState, Supplies, TodayView } from '#core/session';

/** What the server answers, typed once for both sides. Requests are held to the contract; answers come from this core. */

export interface StripMark {
  packId: string;
  code: string;
  kind: Kind;
  name: string;
  due: Due;
}

export interface SessionBrief {
  id: string;
  name: string;
  day: Day;
  dishes: string[];
  portions: number;
  state: SessionState;
  /** What goes on by itself over days. */
  longJobs: LongJob[];
}

/** A document that today's contract cannot read; everything else is shown as if it were not there. */
export interface Unreadable {
  table: DocumentTable;
  id: string;
  name?: string;
  /** Path and reason. */
  why: string;
  /** The last change of it that is known, which can be taken back. */
  last?: { writeId: string; label: string; at: Instant };
}

/** One document that two devices changed differently: what stands here, and what the other meant. */
export interface ClashBrief {
  id: string;
  table: DocumentTable;
  rowId: string;
  name?: string;
  /** What the other device called its change. */
  label: string;
  at: Instant;
  device: string;
  here: unknown;
  mine: unknown;
  /** Field by field, of a recipe also what its two revisions differ in; `names` is the path in words where records have names. */
  differences: { path: string; names: string[]; here: unknown; mine: unknown }[];
}

/** What stands around every page. */
export interface FrameAnswer {
  now: Instant;
  today: Day;
  stopped: boolean;
  /** Tells this household's database from any other. */
  storeId: string;
  /** How far the household's documents have come. */
  version: string;
  /** How far documents and log have come: what is worked out from another household than this one is stale. */
  asOf: string;
  household: Household;
  /** What computations read of the tables of figures. */
  figures: Figures;
  strip: StripMark[];
  supplies: Supplies;
  /** Sessions that are not stored away yet, the nearest first. */
  open: SessionBrief[];
  /** What a household has to begin with; the welcome walks through what is missing. */
  setup: { eaters: boolean; gear: boolean; packs: boolean; session: boolean };
  /** Plain name by allergen code. */
  allergenNames: Record<string, string>;
  /** Documents that cannot be read, and those of which two versions wait to be told apart. */
  unreadable: Unreadable[];
  clashes: ClashBrief[];
}

export interface TodayAnswer {
  today: Day;
  view: TodayView;
  supplies: Supplies;
  next?: SessionBrief;
  /** What goes on by itself over days, the soonest ready first. */
  longJobs: LongJob[];
  cautions: SaidCaution[];
  eaters: Eater[];
  /** Guests of tonight, with what one of them must not eat. */
  guests: Guests | undefined;
  /** Dishes of the last meals, for those who have not said how they were. */
  howWasIt: HowWasIt[];
  tableSeen: string;
  places: Place[];
  demoOld: boolean;
  /** It is time to take a copy away from this machine. */
  takeCopy?: boolean;
  /** Labels that no longer tell the truth about allergies: how many, and the first of them. */
  printAgain: { count: number; packs: PackBrief[] };
}

/** A pack as lists and drawings need it. */
export interface PackBrief {
  packId: string;
  code: string;
  name: string;
  kind: Kind;
  left: number;
  portions: number;
  volumeMl: number;
  outerMl: number;
  massG: number;
  made?: PackState['made'];
  foundOn?: Day;
  bestBy?: Day;
  due: Due;
  status: PackStatus;
  cold: ColdState;
  /** Thawed at the earliest, for certain, while it thaws. */
  readyFrom?: Instant;
  readyBy?: Instant;
  /** The first evening on which it can be eaten. */
  firstEvening: Day;
  /** A dinner by itself. */
  dinner: boolean;
  /** `800 ml`, `490 g`. */
  contents: string;
  /** Who must not eat it, or for whom nobody knows: `Not for Mio: holds nuts`. */
  notFor: string[];
  /** Its label no longer tells the truth about allergies. */
  printAgain: boolean;
  /** The first evening it could be eaten on if it were taken out now. */
  outFor: Day;
  /** The newest event of it: what a page has seen. */
  seen: string;
  placeId?: string;
  zoneId?: string;
  planned?: { day: Day; meal: Meal };
  labelled?: 'printed' | 'hand';
  recipeId?: string;
  shape?: Container['shape'];
  brittle: boolean;
}

export interface StoreAnswer {
  today: Day;
  places: { place: Place; room: PlaceRoom }[];
  packs: PackBrief[];
  probable: PackBrief[];
  past: PackBrief[];
  dinners: number;
}

/** A row of the storage table to choose from, with the life it gives here; none for what is not frozen. */
export interface LifeChoice {
  id: string;
  group: string;
  item: string;
  life?: LifeSnapshot;
}

export interface PackAnswer {
  pack: PackState;
  brief: PackBrief;
  /** `act`: what is taken back with it, itself among them. */
  history: { id: string; at: Instant; says: string; undone: boolean; act: { id: string; subjects: string[] }[] }[];
  cautions: SaidCaution[];
  label: LabelContent;
  /** What its label says about allergies today. */
  labelSays: string;
  heat: HeatTexts;
  cold: Cold;
  container?: Container;
  allergens: string[];
  places: Place[];
  eaters: Eater[];
  /** Containers it may be in. */
  containers: Container[];
  /** Packs of the same lot that still hold food, itself among them. */
  lot: PackState[];
}

export interface Evening {
  day: Day;
  quarters: number;
  eaters: { eaterId: string; quarters: number }[];
  guests: number;
  babyMeals: number;
  packs: PackBrief[];
  /** Of what is planned: who of this evening's table must not eat it. */
  notFor: string[];
}

/** A dish that was eaten, and who has not said yet how it was. */
export interface HowWasIt {
  recipeId: Id;
  name: string;
  kind: Kind;
  day: Day;
  meal: Meal;
  eaters: { id: Id; name: string; seen: string }[];
}

export interface EatAnswer {
  today: Day;
  supplies: Supplies;
  evenings: Evening[];
  eatFirst: PackBrief[];
  fridge: PackBrief[];
  probable: PackBrief[];
  past: PackBrief[];
  recent: {
    eventId: string;
    packId: string;
    day: Day;
    meal: Meal;
    name: string;
    portions: number;
    who: string;
    shares: { eaterId: string; portions: number }[];
    guests: number;
  }[];
  /** Meals lately that came from nowhere in the store. */
  otherwise: AteOtherwise[];
  /** What a page has seen of the table. */
  tableSeen: string;
  householdId: string;
  eaters: Eater[];
  /** Dishes of the last meals, for those who have not said how they were. */
  howWasIt: HowWasIt[];
  /** Evenings lately of which nothing was written down. */
  quiet: Day[];
  tonightLogged: boolean;
}

export interface KitchenAnswer {
  /** As their documents hold them, for the forms; `weeks` has what was said of single meals laid over it. */
  household: Household;
  eaters: Eater[];
  weeks: { days: Day[]; present: Record<string, Record<Meal, boolean>[]>; quarters: number[]; babyMeals: number[] };
  tableSeen: string;
  equipment: Equipment[];
  /** How many dishes of the library ask for each kind of gear. */
  gearUse: Partial<Record<Equipment['kind'], number>>;
  /** `holding`: how many hold food now. */
  containers: { container: Container; free: number; toWash: number; holding: number; wanted: number }[];
  places: { place: Place; room: PlaceRoom }[];
  presets: ReferenceRow[];
  /** What computations read of the tables of figures. */
  figures: Figures;
  /** What each material bears. */
  materials: Record<string, ReferenceRow>;
  /** Plain name by allergen code. */
  allergenNames: Record<string, string>;
}

/** What a written name means: a food, or, where that is not certain, foods that may be meant. */
export type MeansAnswer = { taken: IngredientRow } | { taken?: undefined; offers: IngredientRow[] };

/** Ingredients with what this household changed, added and weighed. */
export interface LarderAnswer {
  rows: IngredientRow[];
  /** Ids of rows changed here. */
  edited: string[];
  /** Ids of rows added here. */
  own: string[];
  trims: Record<string, Learned>;
  tables: Record<'keep' | 'blanch' | 'puree' | 'trim' | 'cooked' | 'scrap', Record<string, ReferenceRow>>;
  household: Household;
  allergenNames: Record<string, string>;
}

/** One table of reference rows. */
export interface ReferenceAnswer {
  table: string;
  rows: { row: ReferenceRow; state: 'shipped' | 'edited' | 'own' }[];
}

/** What a scale shows at a moment. */
export interface ScaleReading {
  grams: number;
  /** It has come to rest. */
  stable: boolean;
  /** More lies on it than it can weigh; the figure says nothing. */
  overload: boolean;
  capacityG: number;
  stepG: number;
  tared: boolean;
  at: Instant;
  name: string;
  /** A stand-in that ships with Tambo. */
  simulated: boolean;
}

/** Days away read from a calendar file, and what was left out. */
export interface CalendarAnswer {
  entries: { uid: string; from: Day; to: Day; label: string }[];
  leftOut: { label: string; why: 'short' | 'past' | 'noStart' | 'cancelled' | 'unread' }[];
}

export interface SessionsAnswer {
  sessions: SessionBrief[];
  older: { id: string; name: string; day: Day }[];
}

export interface LabelsAnswer {
  session?: Session;
  labels: LabelContent[];
  /** What each label says about allergies, by pack, to be kept once it is printed; and the newest event of each pack. */
  says: Record<string, { allergy: string; seen: string; labelled: boolean; printAgain: boolean }>;
  address: string;
}

/** What a first count needs. */
export interface CountAnswer {
  today: Day;
  storeId: string;
  household: Household;
  /** Freezers. */
  places: Place[];
  dishes: KnownDish[];
  lives: LifeRow[];
  /** In store already. */
  packs: number;
}

export interface HistoryAnswer {
  entries: {
    id: string;
    at: Instant;
    says: string;
    /** A door's line tells who came in and who was put out; it cannot be taken back. */
    type: 'event' | 'change' | 'door';
    undone: boolean;
    undoneBy?: string;
    /** The newest taking back or bringing back of it. */
    seen?: string;
    subjects: string[];
    /** It can be taken back only with all that is within. */
    whole?: true;
    /** What one entry gathers: things ticked in one go, what was packed anew at once. */
    within?: HistoryAnswer['entries'];
  }[];
}
