export { shoppingList, tickNote, type Asked, type ShopLine, type ShopSection, type Tick } from './list.ts';
export { aisles } from './data/aisles.ts';
