import type { Container, Eater, Equipment, Household, Place } from '#core/contract';
import { addDays, addMonths } from '#core/kitchen';

const every = (meals: ('breakfast' | 'lunch' | 'dinner')[]): Eater['presence']['weekly'] => ({ mon: meals, tue: meals, wed: meals, thu: meals, fri: meals, sat: meals, sun: meals });

/** The household of the demo: a narrow house above a boat-repair yard. */
export const demoHousehold = (zone: string, anchor: string): Household => ({
  id: 'household', name: 'The house above the yard', country: 'GB', timeZone: zone, locale: 'en-GB', currency: 'GBP', units: 'metric', lives: 'usual', dinnerAt: '18:30', parDays: 7, leadDays: 3, brothPacksPerWeek: 1.5, groupSizes: [2], scaleStepG: 1, singleKeys: true, demoAnchor: anchor,
});

export const demoEaters = (anchor: string, saturday: string): Eater[] => [
  { id: 'eater_marit', name: 'Marit', stage: 'adult', appetite: 1, allergens: [], needs: [], note: 'two weeks aboard, two weeks home', presence: { weekly: every(['breakfast', 'lunch', 'dinner']), rota: { firstDay: addDays(saturday, 1), daysOn: 14, daysOff: 14 }, away: [], exceptions: [] } },
  { id: 'eater_joaquim', name: 'Joaquim', stage: 'adult', appetite: 1.3, allergens: [], needs: [], note: 'bakes at night, eats at odd hours', presence: { weekly: { ...every(['lunch', 'dinner']), fri: ['lunch'] }, away: [], exceptions: [] } },
  { id: 'eater_pip', name: 'Pip', stage: 'baby', birthDay: addDays(addMonths(anchor, -7), -5), appetite: 1, allergens: [], needs: [], baby: { mealsPerDay: 2, cubesPerMeal: 3 }, note: 'smooth and thick purees, soon mash', presence: { weekly: every(['lunch', 'dinner']), away: [], exceptions: [] } },
  { id: 'eater_osk', name: 'Osk', stage: 'elder', appetite: 0.8, allergens: ['al_treenut'], needs: ['lowSalt'], note: 'downstairs', presence: { weekly: { ...every(['breakfast', 'lunch', 'dinner']), sun: ['breakfast'] }, away: [], exceptions: [] } },
];

export const demoEquipment: readonly Equipment[] = [
  { id: 'gear_hob', name: 'Hob', kind: 'hob', count: 4, watts: 2200 },
  { id: 'gear_oven', name: 'Oven', kind: 'oven', count: 2 },
  { id: 'gear_microwave', name: 'Microwave', kind: 'microwave', count: 1, watts: 800 },
  { id: 'gear_pot9', name: 'Big pot', kind: 'pot', count: 1, litres: 9, diameterMm: 260, heightMm: 175, tareG: 3100 },
  { id: 'gear_pot5', name: 'Wide pot', kind: 'pot', count: 1, litres: 5.4, diameterMm: 280, heightMm: 90, tareG: 2450 },
  { id: 'gear_pot3', name: 'Small pot', kind: 'pot', count: 2, litres: 2.8, diameterMm: 180, heightMm: 112, tareG: 1150 },
  { id: 'gear_blender', name: 'Jug blender', kind: 'blender', count: 1, litres: 1.5 },
  { id: 'gear_processor', name: 'Food processor', kind: 'processor', count: 1, litres: 2.2 },
  { id: 'gear_scale', name: 'Kitchen scale', kind: 'scale', count: 1 },
];

export const demoContainers: readonly Container[] = [
  { id: 'tub_1000', name: 'Tub 1 L', shape: 'tub', brimMl: 1000, fillMl: 870, heightMm: 107, widthMm: 118, footMm: 100, depthMm: 118, tareG: 44, owned: 38, oneUse: false, costCents: 60, materialId: 'm_pp', presetId: 'tub1000' },
  { id: 'tub_500', name: 'Tub 500 ml', shape: 'tub', brimMl: 500, fillMl: 430, heightMm: 64, widthMm: 108, footMm: 92, depthMm: 108, tareG: 28, owned: 24, oneUse: false, costCents: 45, materialId: 'm_pp', presetId: 'tub500' },
  { id: 'pan_loaf', name: 'Foil loaf pan 0.8 L', shape: 'pan', brimMl: 950, fillMl: 800, heightMm: 65, widthMm: 215, footMm: 190, depthMm: 115, tareG: 16, owned: 40, oneUse: true, costCents: 32, materialId: 'm_foil', presetId: 'pan_loaf2' },
  { id: 'bag_1l', name: 'Zip bag 1 L', shape: 'bag', brimMl: 1000, fillMl: 750, heightMm: 215, widthMm: 175, footMm: 175, depthMm: 25, tareG: 8, owned: 80, oneUse: true, costCents: 14, materialId: 'm_pe_bag', presetId: 'bag_1L' },
  { id: 'bag_3l', name: 'Zip bag 3 L', shape: 'bag', brimMl: 3000, fillMl: 2000, heightMm: 290, widthMm: 260, footMm: 260, depthMm: 25, tareG: 14, owned: 30, oneUse: true, costCents: 22, materialId: 'm_pe_bag', presetId: 'bag_3L' },
  { id: 'tray_27', name: 'Cube tray 14 x 27 ml', shape: 'tray', brimMl: 30, fillMl: 27, heightMm: 35, widthMm: 260, footMm: 250, depthMm: 110, cells: 14, tareG: 95, owned: 4, oneUse: false, materialId: 'm_silicone_tray', presetId: 'tray30' },
];

export const demoPlaces: readonly Place[] = [
  { id: 'place_box', name: 'Kitchen box', kind: 'freezer', litres: 70, temperatureC: -18, zones: [{ id: 'box_top', name: 'top shelf', litres: 22 }, { id: 'box_middle', name: 'middle', litres: 26 }, { id: 'box_drawer', name: 'drawer', litres: 22 }], note: 'in reach, opened often', prefers: ['puree', 'aromatic', 'bread'] },
  { id: 'place_shed', name: 'Shed chest', kind: 'chest', litres: 200, temperatureC: -20, zones: [{ id: 'shed_left', name: 'left basket', litres: 60 }, { id: 'shed_middle', name: 'middle', litres: 80 }, { id: 'shed_right', name: 'right basket', litres: 60 }], freezingKgPerDay: 9, note: 'old, trusted less', prefers: ['meal', 'broth'] },
  { id: 'place_fridge', name: 'Fridge', kind: 'fridge', litres: 180, temperatureC: 4, zones: [{ id: 'fridge_shelf', name: 'shelves', litres: 120 }], prefers: [] },
];
