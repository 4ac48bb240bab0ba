export { shoppingList, tickNote, type Asked, type ShopBatch, type ShopLine, type ShopSection, type Tick } from './list.ts';
export { aisles } from './data/aisles.ts';
