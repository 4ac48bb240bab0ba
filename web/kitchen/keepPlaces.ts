/** Where things keep at home. */
export const placeNames: readonly (readonly [string, string])[] = [
  ['room', 'the kitchen'],
  ['cupboard', 'a cupboard, dry'],
  ['cool_dark', 'somewhere cool and dark'],
  ['fridge_high_humidity', 'fridge, damp drawer'],
  ['fridge_low_humidity', 'fridge, dry drawer'],
  ['fridge_warm', 'fridge, warmest part'],
  ['fridge_shelf', 'fridge shelf'],
  ['fridge_door', 'fridge door'],
  ['fridge_back', 'fridge, coldest part'],
  ['fridge_bottom', 'fridge bottom, tray under'],
  ['freezer', 'freezer'],
];
