import type { IngredientRow } from '#core/contract';

/**
 * What everyday foods are called in German, French, Italian and Spanish, where the word means that one food and no other. Cream, stock, cheese and the
 * like, of which there are several, are left to be asked. Source: plain dictionaries.
 */
export const foreignNames: Readonly<Record<string, string>> = {
  onion: 'Zwiebel, Zwiebeln, oignon, oignons, cipolla, cipolle, cebolla, cebollas',
  garlic: 'Knoblauch, Knoblauchzehe, Knoblauchzehen, ail, aglio, ajo',
  carrot: 'Karotte, Karotten, Möhre, Möhren, carotte, carottes, carota, carote, zanahoria, zanahorias',
  potato: 'Kartoffel, Kartoffeln, pomme de terre, pommes de terre, patata, patate, patatas',
  leek: 'Lauch, Porree, poireau, poireaux, porro, porri, puerro, puerros',
  celeriac: 'Knollensellerie, céleri-rave, sedano rapa, apionabo',
  tomato: 'toms, Tomate, Tomaten, tomates, pomodoro, pomodori',
  cucumber: 'Gurke, Gurken, concombre, cetriolo, pepino',
  mushroom: 'Champignons, Champignon, funghi, champiñones',
  spinach: 'Spinat, épinards, spinaci, espinacas',
  cauliflower: 'Blumenkohl, chou-fleur, cavolfiore, coliflor',
  pumpkin: 'Kürbis, potiron, zucca, calabaza',
  courgette: 'Zucchini, courgettes, zucchine, calabacín',
  aubergine: 'Aubergine, Auberginen, melanzana, melanzane, berenjena, berenjenas',
  beetroot: 'Rote Bete, betterave, barbabietola, remolacha',
  parsley: 'Petersilie, persil, prezzemolo, perejil',
  basil: 'Basilikum, basilic, basilico, albahaca',
  chilli: 'Chilischote, Chilischoten, piment rouge, peperoncino, guindilla',
  ginger: 'Ingwer, gingembre, zenzero, jengibre',
  lemon: 'Zitrone, Zitronen, citron, citrons, limone, limoni, limón',
  orange: 'Apfelsine, arancia, arance, naranja, naranjas',
  apple: 'Apfel, Äpfel, pomme, pommes, mela, mele, manzana, manzanas',
  pear: 'Birne, Birnen, poire, poires, pera, pere, peras',
  bay_leaf: 'Lorbeerblatt, Lorbeerblätter, laurier, feuille de laurier, alloro, laurel',
  egg: 'Ei, Eier, œuf, œufs, oeuf, oeufs, uovo, uova, huevo, huevos',
  egg_yolk: 'Eigelb, jaune d’œuf, tuorlo, tuorli, yema',
  milk: 'Milch, Vollmilch, lait, latte, leche',
  butter: 'beurre, burro, mantequilla',
  cream_double: 'Schlagsahne, crème entière',
  parmesan: 'Parmesan, parmigiano, parmigiano reggiano, parmesano',
  flour_plain: 'Mehl, Weizenmehl, farine, farina, harina',
  sugar_white: 'Zucker, sucre, zucchero, azúcar',
  salt_table: 'Salz, sel, sale, sal',
  pepper_black: 'Pfeffer, poivre, pepe, pimienta',
  water: 'Wasser, eau, acqua, agua',
  oil_olive: 'Olivenöl, huile d’olive, olio d’oliva, olio extravergine, olio extravergine d’oliva, aceite de oliva',
  oil_vegetable: 'Öl, Pflanzenöl, huile, olio, aceite',
  vinegar: 'Essig, vinaigre, aceto, vinagre',
  mustard: 'Senf, moutarde, senape, mostaza',
  honey: 'Honig, miel, miele',
  rice_white: 'Reis, riz, riso, arroz',
  oats: 'Haferflocken, flocons d’avoine, fiocchi d’avena, copos de avena',
  yeast_dried: 'Trockenhefe, levure sèche, lievito secco, levadura seca',
  baking_powder: 'Backpulver, levure chimique, lievito in polvere, levadura química',
  lentil_green: 'lentilles vertes',
  lentil_red: 'rote Linsen, lentilles corail, lenticchie rosse, lentejas rojas',
  tomato_puree: 'Tomatenmark, concentré de tomates, concentrato di pomodoro, concentrado de tomate',
  tomato_tin_chopped: 'tinned toms, chopped toms, gehackte Tomaten, polpa di pomodoro',
  pork_mince: 'Schweinehack',
  beef_mince: 'Rinderhack, Rinderhackfleisch, bœuf haché, carne picada de ternera',
  chicken_breast: 'Hähnchenbrust, Hähnchenbrustfilet, blanc de poulet, petto di pollo, pechuga de pollo',
  bacon: 'Speck, lardons, panceta',
  ham_cooked: 'gekochter Schinken, jambon cuit, prosciutto cotto, jamón cocido',
  wine_white: 'Weißwein, vin blanc, vino bianco, vino blanco',
  wine_red: 'Rotwein, vin rouge, vino rosso, vino tinto',
  paprika: 'Paprikapulver',
  cumin: 'Kreuzkümmel, comino, cumino',
  cinnamon: 'Zimt, cannelle, cannella, canela',
  nutmeg: 'Muskatnuss, Muskat, noix de muscade, noce moscata, nuez moscada',
  almond: 'Mandeln, amandes, mandorle, almendras',
  walnut: 'Walnüsse, noix, noci, nueces',
  raisin: 'Rosinen, raisins secs, uvetta, pasas',
};

/**
 * Rows with what their foods are called elsewhere among their other names.
 * @example withForeignNames(rows).find((r) => r.id === 'onion')?.otherNames.includes('Zwiebel') // true
 */
export const withForeignNames = (rows: readonly IngredientRow[]): IngredientRow[] =>
  rows.map((row) => {
    const names = foreignNames[row.id]?.split(', ') ?? [];
    return names.length === 0 ? row : { ...row, otherNames: [...new Set([...row.otherNames, ...names])] };
  });
