import type { Language } from './language.ts';
import type { WorkKind } from '#core/contract';

/** What a verb says: a kind of work, or an act that belongs to the work around it. */
export type Act = WorkKind | 'add' | 'small' | 'heat' | 'cook';

const of = (kind: Act, words: string): readonly (readonly [string, Act])[] => words.split(',').map((w) => [w.trim(), kind] as const);

/** English verbs in the form a recipe orders with. `add` puts something to what is there; `small` goes with the work before it. */
const english: ReadonlyMap<string, Act> = new Map([
  ...of(
    'cut',
    'chop, dice, slice, grate, peel, core, trim, shred, cube, halve, quarter, mince, zest, crush, cut, prick, pick, scrape, bash, joint, grind, crumble, strip, wash, rinse, crack, hull, pit, stone, devein, julienne, score, clean, break, tear, pull, scoop, pound, snip, top and tail, segment, squeeze, smash, deseed, carve, flake, shell, debone, scrub, slit, string, pod',
  ),
  ...of(
    'mix',
    'mix, fluff, stir together, whisk, toss, rub, beat, combine, cream, fold together, sift, blitz together, dust, coat, dredge, mash, work, turn into, dissolve, incorporate',
  ),
  ...of('knead', 'knead'),
  ...of('brown', 'brown, sear, char, colour, color'),
  ...of('soften', 'sweat, soften, sauté, saute, wilt, caramelise, caramelize'),
  ...of('fry', 'fry, scramble, griddle, grill, stir-fry, deep-fry, pan-fry, crisp, shallow-fry, barbecue'),
  ...of('melt', 'melt, toast, bloom, temper, dry-fry, warm through'),
  ...of('boil', 'boil, blanch, parboil, scald'),
  ...of('simmer', 'simmer, stew, braise, poach, bubble, cook down, blip'),
  ...of('reduce', 'reduce, thicken, boil down'),
  ...of('steam', 'steam'),
  ...of('preheat', 'preheat, pre-heat'),
  ...of('bake', 'part-bake, par-bake, blind-bake, bake, roast, gratinate, broil'),
  ...of('slow', 'pressure-cook, slow-cook'),
  ...of('rest', 'rest, stand, prove, proof, relax, rise, leave, infuse, ferment, hang, ripen'),
  ...of('soak', 'soak, marinate, steep, cure, brine, macerate, hydrate'),
  ...of('cool', 'cool, chill, refrigerate, thaw, defrost'),
  ...of('freeze', 'freeze, open-freeze, dehydrate, tray-freeze'),
  ...of('blend', 'blend, blitz, purée, puree, pulse, whizz, liquidise, liquidize, process, whiz, zap'),
  ...of('strain', 'strain, drain, sieve, press, pass, push through, filter, wring, rice, spin'),
  ...of('shape', 'shape, roll, form, wrap, stuff, crimp, pinch, flatten, mould, pat, braid, fold up, knot, portion up'),
  ...of(
    'fill',
    'fill, divide, layer, line, spoon, jar, bag, pack, pot up, portion, spread, ladle, pipe, assemble, build up, build, stack, bottle, lay, arrange, box, tip, brush, butter, grease, oil, top, nestle, press flat, dollop, ice',
  ),
  ...of('finish', 'season, adjust, taste, glaze, salt, sharpen, sweeten'),
  ...of('serve', 'serve, dress, garnish, reheat, warm up, eat, plate up'),
  ...of(
    'add',
    'add, stir in, stir, pour, put, place, throw, drop, scatter, sprinkle, fold, return, tip in, whisk in, mix in, drizzle, crumble over, deglaze, bind, bring together, moisten, top up, slide, give, set, sink, swirl, work in, beat in, transfer, use, pop, chuck, splash, squeeze over, loosen, thin, stick, go in, goes in, let down, finish, plunge, dunk, shock, fork, fork through, go, goes',
  ),
  ...of(
    'small',
    'dry, make, do, prepare, cover, turn, lift, lift out, take, take out, remove, discard, skim, keep, reserve, hold, save, set aside, check, turn off, turn up, turn down, uncover, flip, fish out, throw away, wet, wrap tightly, baste, shake, let, wipe, open, close, seal, label, slip, look in, get, refresh, unmould, tap, lower, raise, date, have, make sure, test, push, leave out, store, wash up, scrape down',
  ),
  ...of('heat', 'heat, warm, bring, get, sterilise, sterilize'),
  ...of('cook', 'cook, microwave'),
]);

/** Stems of verbs of other languages, in the form a recipe orders with, anywhere in a sentence. */
const others: Readonly<Record<Exclude<Language, 'en'>, readonly (readonly [RegExp, Act])[]>> = {
  de: [
    [/^(?:auf|vor)?heizen$|^vorheizen$/, 'preheat'],
    [
      /^(?:(?:klein|fein|grob)?schneiden|(?:zer|klein|fein)?hacken|schälen|würfeln|putzen|raspeln|reiben|waschen|entkernen|halbieren|vierteln|achteln|hobeln|zupfen|mahlen|entsteinen|stifteln|zerkleinern|auslösen|zerdrücken|ablösen|teilen|zerteilen)$/,
      'cut',
    ],
    [/^(?:ver)?mischen$|^(?:ver|glatt|an)?rühren$|^vermengen$|^schlagen$|^verquirlen$|^stampfen$|^wenden$/, 'mix'],
    [/^(?:ver|durch)?kneten$/, 'knead'],
    [/^(?:scharf )?anbraten$|^bräunen$/, 'brown'],
    [/^(?:an|glasig )?dünsten$|^anschwitzen$|^(?:an)?schwitzen$|^andünsten$/, 'soften'],
    [/^braten$|^ausbacken$|^frittieren$|^grillen$/, 'fry'],
    [/^(?:an)?rösten$|^schmelzen$|^zerlassen$/, 'melt'],
    [/^(?:auf|ab|vor)?kochen$|^blanchieren$|^garen$/, 'boil'],
    [/^köcheln$|^schmoren$|^ziehen$|^simmern$|^weichkochen$/, 'simmer'],
    [/^(?:ein|re)(?:kochen|duzieren)$|^reduzieren$/, 'reduce'],
    [/^dämpfen$|^dampfgaren$/, 'steam'],
    [/^(?:über|fertig)?backen$|^gratinieren$/, 'bake'],
    [/^(?:aus|nach)?quellen$|^ruhen$|^gehen$|^stehen$|^aufgehen$|^durchziehen$/, 'rest'],
    [/^einweichen$|^marinieren$|^einlegen$|^beizen$/, 'soak'],
    [/^(?:ab|aus|er|herunter)?kühlen$|^kaltstellen$|^auftauen$|^stellen$/, 'cool'],
    [/^(?:ein|vor|ge)?frieren$|^einfrieren$|^trocknen$|^dörren$/, 'freeze'],
    [/^(?:fein )?pürieren$|^mixen$|^zermahlen$/, 'blend'],
    [/^(?:ab|durch)?(?:gießen|giessen|seihen|tropfen|schöpfen)$|^passieren$|^abschrecken$|^ausdrücken$|^pressen$|^abspülen$/, 'strain'],
    [/^(?:aus)?formen$|^(?:aus|auf)?rollen$|^wickeln$|^falten$/, 'shape'],
    [
      /^(?:ab|ein|be|um|auf)?füllen$|^(?:ein|auf|über)?schichten$|^ein(?:fetten|legen|buttern)$|^(?:aus|be)(?:legen|streichen|buttern)$|^schichten$|^verteilen$|^auslegen$|^fetten$|^einfetten$|^bestreichen$|^portionieren$|^belegen$/,
      'fill',
    ],
    [/^(?:ab)?schmecken$|^würzen$|^salzen$|^pfeffern$/, 'finish'],
    [/^servieren$|^anrichten$|^reichen$/, 'serve'],
    [
      /^(?:da|hin|hinein)?(?:zu)?geben$|^dazugeben$|^hinzufügen$|^zufügen$|^unter(?:rühren|heben|mischen|ziehen)$|^ein(?:rühren|streuen)$|^ablöschen$|^(?:dar)?über(?:gießen|streuen|geben)$|^(?:dar|hin|unter|ein|be|auf|an|zu)\w*(?:streuen|träufeln|geben|gießen|rühren|heben|mischen)$|^aufgießen$|^angießen$|^bestreuen$|^mit(?:rösten|braten|kochen|dünsten|köcheln|garen)$|^legen$|^bedecken$|^zugeben$|^auffüllen$|^hineingeben$/,
      'add',
    ],
    [/^lassen$|^zudecken$|^abdecken$|^entfernen$|^nehmen$|^herausnehmen$|^abschöpfen$|^beiseitestellen$/, 'small'],
    [/^erhitzen$|^erwärmen$|^bringen$/, 'heat'],
  ],
  fr: [
    [/^préchauff(?:er|ez)$/, 'preheat'],
    [
      /^(?:coup|épluch|hach|éminc|râp|pel|cisel|détaill|lav|épépin|concass|dénoyaut|tranch|effeuill|écras|nettoy|équeut|press)(?:er|ez)$/,
      'cut',
    ],
    [/^(?:mélang|fouett|batt|travaill|enrob|frott|incorpor|amalgam)(?:er|ez|re)$/, 'mix'],
    [/^pétri(?:r|ssez)$/, 'knead'],
    [/^(?:dor|saisi|rissol|color)(?:er|ez|r|ssez)$|^revenir$/, 'brown'],
    [/^(?:su|étuv|fondr|blondi)(?:er|ez|e|r)$/, 'soften'],
    [/^(?:poêl|fri|grill|saut)(?:er|ez|re)$/, 'fry'],
    [/^torréfi(?:er|ez)$/, 'melt'],
    [/^(?:bouilli|blanchi|ébouillant|poch)(?:r|er|ez|ssez)$/, 'boil'],
    [/^(?:mijot|brais|frémi|compot)(?:er|ez|r)$/, 'simmer'],
    [/^(?:rédui)(?:re|sez)$|^épaissir$/, 'reduce'],
    [/^rôtir$|^enfourn(?:er|ez)$|^gratin(?:er|ez)$/, 'bake'],
    [/^(?:cuire|cuisez)$/, 'cook'],
    [/^(?:repos|lev|infus|gonfl)(?:er|ez)$/, 'rest'],
    [/^(?:tremp|marin|macér)(?:er|ez)$/, 'soak'],
    [/^(?:refroidi|rafraîchi|tiédi|décongel|réfrigér)(?:r|er|ez|ssez)$/, 'cool'],
    [/^(?:congel|surgel|séch|déshydrat)(?:er|ez)$/, 'freeze'],
    [/^mix(?:er|ez)$|^moulin(?:er|ez)$|^rédui\w* en purée$/, 'blend'],
    [/^(?:égoutt|filtr|pass|tamis|essor|rinc)(?:er|ez)$/, 'strain'],
    [/^(?:façonn|roul|étal|form|abaiss|farci)(?:er|ez|r|ssez)$/, 'shape'],
    [/^(?:rempli|rang|dispos|répart|beurr|huil|gliss|nap|fonc)(?:er|ez|ir|issez|r|ssez)$|^garnir$|^tapiss(?:er|ez)$/, 'fill'],
    [/^(?:assaisonn|rectifi|sal|poivr)(?:er|ez)$/, 'finish'],
    [/^(?:servi|serv|réchauff|dégust)(?:r|ez|er)$/, 'serve'],
    [/^(?:ajout|vers|mett|déglac|parsem|saupoudr|arros|mouill|incorpor|jet|remett)(?:er|ez|re)$/, 'add'],
    [/^(?:couvri|couvr|laiss|retir|remu|fair|écum|réserv|enlev)(?:r|ez|er|e)$/, 'small'],
    [/^(?:chauff|port)(?:er|ez)$/, 'heat'],
  ],
  es: [
    [/^precalentar$|^precalienta$/, 'preheat'],
    [
      /^(?:picar|cortar|pelar|rallar|trocear|lavar|limpiar|laminar|exprimir|desmenuzar|machacar|partir|deshuesar|pica|corta|pela|ralla|trocea|lava)(?:los|las|lo|la)?$/,
      'cut',
    ],
    [/^(?:mezclar|batir|remover|mezcla|bate|mezclad|envolver)(?:los|las|lo|la)?$/, 'mix'],
    [/^(?:amasar|amasa)(?:lo|la)?$/, 'knead'],
    [/^(?:dorar|sellar|dora|marcar)(?:los|las|lo|la)?$/, 'brown'],
    [/^(?:rehogar|sofreír|pochar|rehoga|sofríe|pocha)(?:los|las|lo|la)?$/, 'soften'],
    [/^(?:freír|saltear|fríe)(?:los|las|lo|la)?$/, 'fry'],
    [/^(?:tostar|derretir|fundir|tuesta)(?:los|las|lo|la)?$/, 'melt'],
    [/^(?:hervir|escaldar|hierve)(?:los|las|lo|la)?$/, 'boil'],
    [/^(?:guisar|estofar)(?:los|las|lo|la)?$/, 'simmer'],
    [/^(?:cocer|cocinar|cuece|cocina|cocinad)(?:los|las|lo|la)?$/, 'cook'],
    [/^reducir$|^reduce$/, 'reduce'],
    [/^(?:hornear|asar|gratinar|hornea|asa)(?:los|las|lo|la)?$/, 'bake'],
    [/^(?:reposar|levar|reposa)$/, 'rest'],
    [/^(?:remojar|marinar|macerar|remojo)(?:los|las|lo|la)?$/, 'soak'],
    [/^(?:enfriar|enfría|descongelar|templar)(?:los|las|lo|la)?$/, 'cool'],
    [/^(?:congelar|congela|secar)(?:los|las|lo|la)?$/, 'freeze'],
    [/^(?:triturar|licuar|batir|tritura)(?:los|las|lo|la)?$/, 'blend'],
    [/^(?:colar|escurrir|cuela|escurre|tamizar)(?:los|las|lo|la)?$/, 'strain'],
    [/^(?:formar|estirar|doblar|enrollar)(?:los|las|lo|la)?$/, 'shape'],
    [/^(?:rellenar|repartir|untar|engrasar|envasar|disponer|llenar)(?:los|las|lo|la)?$/, 'fill'],
    [/^(?:rectificar|salpimentar|sazonar|aliñar|salar)(?:los|las|lo|la)?$/, 'finish'],
    [/^(?:servir|sirve|recalentar)(?:los|las|lo|la)?$/, 'serve'],
    [/^(?:añadir|agregar|echar|verter|cubrir|añade|agrega|poner|pon|incorporar|espolvorear|incorpora|desglasar)(?:los|las|lo|la)?$/, 'add'],
    [/^(?:dejar|retirar|tapar|deja|retira|tapa|reservar|apartar)(?:los|las|lo|la)?$/, 'small'],
    [/^(?:calentar|calienta|llevar)(?:los|las|lo|la)?$/, 'heat'],
  ],
  it: [
    [/^preriscaldare$/, 'preheat'],
    [
      /^(?:tritare|tagliare|pelare|grattugiare|affettare|lavare|pulire|sbucciare|mondare|spezzettare|snocciolare|tritate|tagliate|affettate|lavate)(?:li|le|lo|la)?$/,
      'cut',
    ],
    [/^(?:mescolare|amalgamare|sbattere|mescolate)(?:li|le|lo|la)?$/, 'mix'],
    [/^(?:impastare|impastate)$/, 'knead'],
    [/^(?:rosolare|dorare|rosolate|rosolar\w+)$/, 'brown'],
    [/^(?:soffriggere|appassire|stufare|soffriggete|farl[aeio])$/, 'soften'],
    [/^(?:friggere|saltare)$/, 'fry'],
    [/^(?:tostare|sciogliere|fondere)$/, 'melt'],
    [/^(?:bollire|lessare|sbollentare|scottare)$/, 'boil'],
    [/^(?:sobbollire|stufare|brasare)$/, 'simmer'],
    [/^(?:cuocere|cuocete)$/, 'cook'],
    [/^(?:ridurre|restringere|sfumare)$/, 'reduce'],
    [/^(?:infornare|arrostire|gratinare)$/, 'bake'],
    [/^(?:riposare|lievitare)$/, 'rest'],
    [/^(?:ammollare|marinare)$/, 'soak'],
    [/^(?:raffreddare|scongelare|intiepidire)$/, 'cool'],
    [/^(?:congelare|surgelare|essiccare)$/, 'freeze'],
    [/^(?:frullare|frullate)$/, 'blend'],
    [/^(?:scolare|filtrare|colare|setacciare|strizzare)$/, 'strain'],
    [/^(?:stendere|formare|arrotolare)$/, 'shape'],
    [/^(?:farcire|riempire|disporre|imburrare|versare nelle)$/, 'fill'],
    [/^(?:salare|regolare|condire|pepare)$/, 'finish'],
    [/^(?:servire|servite)$/, 'serve'],
    [/^(?:aggiungere|unire|versare|mettere|coprire|aggiungete|cospargere|unite|bagnare)$/, 'add'],
    [/^(?:lasciare|togliere|fare|coprite)$/, 'small'],
    [/^(?:scaldare|portare|riscaldare)$/, 'heat'],
  ],
};

const longest = Math.max(...[...english.keys()].map((k) => k.split(/[ ]/).length));

/**
 * The verb that stands at a word, in the form a recipe orders with.
 * @param words words of the clause in small letters
 * @returns what it says, and how many words it takes
 */
export function verbAt(words: readonly string[], i: number, language: Language): { act: Act; length: number } | undefined {
  if (language !== 'en') {
    // “dorarlo”, “cuocerla”: the pronoun hangs on the verb
    const given = words[i] ?? '';
    const word =
      language === 'es'
        ? given.replace(/(?<=[aei]r)(?:l[aeo]s?|se)$/, '')
        : language === 'it'
          ? given.replace(/(?<=[aei]r)(?:l[aeio]|ne|vi)$/, 'e')
          : given;
    const act = others[language].find(([pattern]) => pattern.test(word))?.[1];
    return act && { act, length: 1 };
  }
  for (let n = longest; n >= 1; n -= 1) {
    const act = english.get(words.slice(i, i + n).join(' '));
    if (act && words.length - i >= n) return { act, length: n };
  }
  return undefined;
}

/** English participles of work told as done before: “has been boiled”, “halved last night”. */
export function participleAt(word: string): Act | undefined {
  if (!/ed$|^(?:cut|ground|left|put|beaten|frozen|broken)$/.test(word)) return undefined;
  const base =
    word === 'left' ? 'leave' : word === 'ground' ? 'grind' : word === 'frozen' ? 'freeze' : word === 'beaten' ? 'beat' : undefined;
  if (base) return english.get(base);
  return (
    english.get(word.slice(0, -2)) ??
    english.get(word.slice(0, -1)) ??
    english.get(word.slice(0, -3)) ??
    english.get(`${word.slice(0, -3)}y`) ??
    (word === 'cut' ? 'cut' : undefined)
  );
}
