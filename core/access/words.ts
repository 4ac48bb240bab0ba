/** 256 plain words of a kitchen, one for each value of a byte; none is the beginning of another. */
const list = `
  almond anise apple apricot apron asparagus avocado bacon bagel baker banana barley basil basket bay bean beef beet berry biscuit
  bottle bowl brandy bread brine brisket broth bulgur bun butter cabbage cake caper caraway cardamom carrot cashew celery cellar
  chard cheddar cheese cherry chestnut chicory chilli chive cider cinnamon citrus clam clementine clove cocoa coconut cod coffee
  colander cookie corn couscous crab cracker cranberry cream crumble crust cucumber cumin cup curd currant custard damson date dill
  dinner dough duck dumpling eel egg endive fennel fig fillet flan flax flour fork fritter funnel garlic gherkin ginger glass goose
  grain grape grater gravy griddle guava haddock ham harvest hazel herring hominy honey jam jar jelly juice juniper kale kelp kettle
  kidney kiwi knife kohlrabi ladle lamb larder lasagne laurel lavender leek lemon lentil lettuce lime linen loaf lobster mace
  mackerel malt mango maple marjoram marrow meadow melon milk millet mint mitten molasses mortar muffin mulberry mushroom mussel
  mustard napkin nectar nettle noodle nougat nutmeg oat okra olive omelette onion orange orchard oregano oven oyster pancake papaya
  paprika parsley parsnip pasta pasty peach peanut pear pepper pestle pheasant pickle pigeon pine pistachio platter plum polenta
  popcorn poppy pork porridge potato pudding pumpkin quail quince radish raisin rhubarb rice rocket rosemary rye saffron sage salad
  salmon salt sardine savory scallop scone semolina sesame shallot sherbet shortbread skillet sorrel soup spelt spinach spoon sprout
  squash stew strudel sugar sultana swede syrup tamarind tarragon thyme toast toffee tomato treacle trivet trout tuna turkey
  turmeric turnip vanilla vinegar waffle walnut whisk yeast yogurt
`;

export const kitchenWords: readonly string[] = list.trim().split(/\s+/);

/**
 * Bytes as words that can be read out over a table.
 * @param bytes of a fingerprint, or drawn at random for a passphrase
 * @returns one word a byte
 * @example sayBytes(new Uint8Array([0, 255])) // ['almond', 'yogurt']
 */
export const sayBytes = (bytes: Uint8Array): string[] => Array.from(bytes, (b) => kitchenWords[b] ?? '');

/**
 * The first bytes of a fingerprint as words: eight of them stand for 64 bits, more than anybody could imitate by trying.
 * @param sha256 of a certificate, in DER, 32 bytes
 * @throws RangeError when it is shorter than eight bytes
 * @example fingerprintWords(new Uint8Array(32)).length // 8
 */
export function fingerprintWords(sha256: Uint8Array): string[] {
  if (sha256.length < 8) throw new RangeError(`fingerprintWords: expected at least 8 bytes, got ${sha256.length}`);
  return sayBytes(sha256.slice(0, 8));
}

/**
 * A fingerprint as certificate pages of phones and browsers show it.
 * @example sayHex(new Uint8Array([10, 255])) // '0A:FF'
 */
export const sayHex = (bytes: Uint8Array): string => Array.from(bytes, (b) => b.toString(16).toUpperCase().padStart(2, '0')).join(':');
