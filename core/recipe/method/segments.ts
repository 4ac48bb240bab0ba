import type { Language } from './language.ts';
import { sentencesOf, type Sentence, type Token } from './sentences.ts';
import { participleAt, verbAt, type Act } from './verbs.ts';

/** Part of a sentence with one act of work, or a sentence without any. */
export interface Segment {
  at: number;
  end: number;
  tokens: readonly Token[];
  /** Words of `tokens` that are verbs. */
  verbs: ReadonlySet<number>;
  /** Words under “until”, “when”, “without”: they tell of what is there and add nothing. */
  quiet: ReadonlySet<number>;
  act: Act | undefined;
  /** Where in `tokens` its verb stands. */
  verb: number;
  /** It begins a sentence. */
  first: boolean;
  /** It begins a full sentence, not one behind a semicolon. */
  full: boolean;
  /** Told as done before: comes before what uses it, wherever it stands. */
  past: boolean;
  meanwhile: boolean;
  then: boolean;
  /** A heading or “for the filling” opens a section of its own. */
  section?: string;
  eve: boolean;
  serve: boolean;
  /** “Day 2”, “next day”: what was the eve is over. */
  nextDay: boolean;
  /** Told after an “or”: another way, not this one's work. */
  alternative: boolean;
}

const determiner =
  /^(?:the|a|an|this|that|these|those|each|every|your|my|our|it|them|all|both|half|any|some|two|three|four|five|six|one|everything|together|in|into|on|onto|for|until|till|at|with|from|over|under|through|slowly|gently|well|briefly|to|off|up|down|out|by|as|very|lightly|finely|roughly|hard|again|separately|quickly|thinly|coarsely|\d.*)$/;
/** What may stand before an order in the middle of a sentence. */
const lead =
  /^(?:and|then|or|now|next|gently|meanwhile|so|but|also|first|finally|again|just|quickly|slowly|carefully|lightly|briefly|finely|roughly|coarsely|thinly|thoroughly|immediately|once|afterwards|instead|simply|always|either|please|barely|let|it|them|everything|and\/or)$|ly$/;
const article =
  /^(?:the|a|an|this|that|these|those|of|in|for|with|without|under|from|by|your|my|our|no|some|more|enough|its|their|his|her|at|hot|low|high|bare|rolling|quick|slow|white|good|first|second|last|per|than|like|not|don't|never|dont|won't|couldn't|can't|to|on|into|very|about|is|are|was|too)$/;
/** Foods and things that are verbs too: an order only where one stands that can be nothing else. */
const alsoThings = new Set(
  'butter oil salt flour ice season line bag jar box date dress core stock cream rice string pod press pit stone shell zest pack top label crisp dust cure slit colour color form brown thin set place halve quarter process roll steam stew roast grill cook heat water score peel mash paste spread pulse pass juice sauce shape get work close do use make lay bottle pot plate tip'.split(
    ' ',
  ),
);
const conditions =
  /^(?:until|till|once|when|if|unless|before|without|because|since|although|whether|bis|wenn|sobald|ohne|jusqu|quand|lorsque|sans|hasta|cuando|sin|finché|quando|senza|don't|dont|not|never|no)$/;
const whiles = /^(?:while|whilst|as|während|pendant|mientras|mentre)$/;
const meanwhileWords =
  /\b(?:meanwhile|in the meantime|at the same time|while (?:that|this|it|they|the|you)|during (?:this|that|the)|inzwischen|währenddessen|derweil|in der zwischenzeit|pendant ce temps|entre-temps|mientras tanto|entretanto|nel frattempo|intanto)\b/iu;
const thenWords = /^(?:then|next|after that|afterwards|now|dann|danach|anschließend|puis|ensuite|luego|después|poi|quindi)\b/iu;
const eveWords =
  /\b(?:(?:the )?(?:night|day|evening) before|last night|the previous (?:night|day|evening)|a day ahead|day one|day 1|overnight|evening before|am vorabend|am tag vorher|am vortag|über nacht|la veille|toute la nuit|la noche (?:anterior|antes)|el día antes|la víspera|la sera prima|tutta la notte)\b/iu;
const nextDayWords =
  /\b(?:next (?:day|morning)|the following (?:day|morning)|day (?:two|2)|in the morning|am nächsten (?:tag|morgen)|le lendemain|al día siguiente|il giorno dopo)\b/iu;
const serveWords =
  /\b(?:to serve|serve[sd]? (?:with|it|them|over|on|hot|cold|warm|in|at)|for serving|at (?:the )?table|on the (?:day|night)(?! before)|(?:on|at) eating day|(?:each|every|per|in the|into) (?:bowl|plate|portion|serving|helping)|over each (?:bowl|plate|portion)|in(?:to)? (?:each|every|the) bowls?|when (?:wanted|you want to eat|eating|serving)|bake[d]? from frozen|from frozen|to eat|thaw(?:ed)?|defrost|reheat(?:ed|ing)?|before (?:serving|eating)|at serving|zum servieren|vor dem servieren|zum essen|beim servieren|bei tisch|dazu reichen|au moment de servir|pour servir|avant de servir|à table|al servir|para servir|antes de servir|a la hora de servir|al momento di servire|per servire|prima di servire|in tavola|(?:the )?(?:following )?serving day)\b|^(?:(?:lovely|best|good|nice|eat|delicious)\b[^.]* with|(?:cold|warm|hot) with)\b|\b(?:alongside|beside it|on the side)\b/iu;
const cookDayHeads =
  /^(?:to (?:cook|eat|serve|heat|reheat|bake|finish on the day)|on the day|serving|eating day|zum servieren|pour servir|para servir|per servire)\b/iu;

/** What only an order takes right after it: “butter the tin”, not “cumin and salt for four hours”. */
const object =
  /^(?:the|a|an|each|every|it|them|your|two|three|four|well|lightly|both|all|everything|this|these|with|over|generously|together)$/;
/** Things that are foods: in the middle of a sentence an order only with an object of its own. */
const alsoFoods = new Set(
  'butter oil salt flour mince ice stock cream rice zest pepper juice paste mash puree purée sauce peel water honey crisp date shell stone core season top'.split(
    ' ',
  ),
);

/** What an order may follow without a comma. */
const introduced =
  /^(?:in the meantime|at the same time|while (?:that|they|it)\b.*|on the (?:day|night)|(?:the )?(?:night|day|evening) before|next (?:day|morning)|in the (?:same|meantime|morning).*|to (?:finish|serve|cook)|at the end|for the \w+)$/u;

/** Things that are work too, and stand alone after an “and”. */
const processes = new Set('stew roast cook grill steam mash press process pulse crush crimp roll brown heat shape form top'.split(' '));

const told_before = /\b(?:night|day|days|earlier|hours?|ahead|before|already|morning|yesterday|weekend)\b/u;

interface Found {
  alternative?: boolean;
  act: Act;
  i: number;
  past: boolean;
}

/** Words of a sentence that stand under “until”, “when”, “without”: what is said there is no order. */
function masked(tokens: readonly Token[], language: Language): boolean[] {
  const mask = tokens.map(() => false);
  for (let i = 0; i < tokens.length; i += 1) {
    if (/^(?:ce|tanto|dessen)$/.test(tokens[i + 1]?.word ?? '')) continue;
    if (!conditions.test(tokens[i]!.word) && !(whiles.test(tokens[i]!.word) && (i === 0 || tokens[i]!.word !== 'as'))) continue;
    for (let k = i; k < tokens.length; k += 1) {
      if (k > i && tokens[k]!.before !== 'space') break;
      if (k > i && /^(?:then|dann|puis|luego|poi)$/.test(tokens[k]!.word)) break;
      // “while they boil brown the lamb”, “when you want to eat it bring it back”
      if (
        language === 'en' &&
        k > i + 2 &&
        !/^(?:until|till|before|without|not|never|no)$/.test(tokens[i]!.word) &&
        /^(?:the|a|your|half|it|them)$/.test(tokens[k + 1]?.word ?? '') &&
        !/^(?:you|i|we|they|to|the|a)$/.test(tokens[k - 1]!.word) &&
        verbAt([tokens[k]!.word], 0, language)
      )
        break;
      if (
        k > i &&
        /^(?:and|und|et|y|e)$/.test(tokens[k]!.word) &&
        verbAt(
          tokens.map((t) => t.word),
          k + 1,
          language,
        ) &&
        (language !== 'en' || determiner.test(tokens[k + 2]?.word ?? ''))
      )
        break;
      mask[k] = true;
    }
  }
  return mask;
}

/** Orders of a sentence. */
function actsOf(tokens: readonly Token[], language: Language): Found[] {
  const words = tokens.map((t) => t.word);
  const mask = masked(tokens, language);
  const found: Found[] = [];
  let bracket = false;
  for (let i = 0; i < tokens.length; i += 1) {
    const t = tokens[i]!;
    if (t.before === 'open') bracket = true;
    if (t.before === 'close') bracket = false;
    const prev = words[i - 1] ?? '';
    if (language === 'en') {
      // told as done before
      const told = participleAt(t.word);
      const back = words.slice(Math.max(0, i - 4), i).join(' ');
      if (
        told &&
        ((/(?:^| )(?:(?:has|have|had|having)(?: already)?(?: been)?|(?:should|must|will|were|was|is|are)(?: be)?)$/.test(back) &&
          (!/(?:should|must|will|were|was|is|are)(?: be)?$/.test(back) || told_before.test(words.join(' '))) &&
          !/\b(?:once|when|until)\b/.test(words.slice(0, i).join(' '))) ||
          (bracket &&
            told_before.test(words.slice(i, i + 12).join(' ')) &&
            (t.before === 'open' || (/^(?:and|then)$/.test(prev) && found.at(-1)?.past))) ||
          (prev === 'and' && found.at(-1)?.past === true))
      ) {
        found.push({ act: told, i, past: true });
        continue;
      }
    }
    if (mask[i] || (bracket && language === 'en')) continue;
    const v = verbAt(words, i, language);
    if (!v) continue;
    if (language === 'en') {
      const next = words[i + v.length] ?? '';
      const begins =
        i === 0 ||
        t.before !== 'space' ||
        lead.test(prev) ||
        (mask[i - 1] === true && !mask[i]) ||
        introduced.test(words.slice(0, i).join(' '));
      const ordered = determiner.test(next);
      const things = v.length === 1 && alsoThings.has(t.word);
      const toVerb =
        prev === 'to' &&
        /^(?:put|leave|left|set|allow|bring|hang|it|them|aside|get|over|batter|down|on)$/.test(words[i - 2] ?? '') &&
        (words[i - 2] === 'on' || !/^(?:boil|simmer)$/.test(t.word));
      if (t.before === 'space' && article.test(prev) && !toVerb && i > 0) continue;
      const begun =
        i === 0 &&
        words.length > 1 &&
        !/^(?:should|is|are|was|were|can|must|will|goes|go|has|have|in)$/.test(next) &&
        tokens[1]?.before === 'space' &&
        !/^(?:and|or)$/.test(next);
      if (v.length === 1 && alsoFoods.has(t.word)) {
        if (!(begins && object.test(next)) && !(begun && t.word !== 'salt' && next !== 'to')) continue;
      } else if (
        things &&
        !(
          begins &&
          processes.has(t.word) &&
          (i === 0 || /^(?:and|then)$/.test(prev)) &&
          !(t.word === 'brown' && /^(?:sugar|rice|bread|lentils?|flour|onions?|sauce)$/.test(next))
        ) &&
        !(i === 0 ? ordered || begun : begins && ordered)
      )
        continue;
      if (!begins && !toVerb && !(ordered && !article.test(prev))) continue;
      // “leave to cool”, “let it stand”: the second is what goes on
      if (v.act === 'small' && found.length === 0 && i + v.length >= tokens.length) {
        found.push({ act: v.act, i, past: false });
        continue;
      }
    }
    // “grate in the apples”, “ladle in the stock”: it goes to what is there
    const goesIn =
      language === 'en' &&
      /^(?:cut|mix|fill|strain)$/.test(v.act) &&
      words[i + v.length] === 'in' &&
      tokens[i + v.length]!.before === 'space' &&
      /^(?:the|half|all|most|more|both|your|this|that)$/.test(words[i + v.length + 1] ?? '') &&
      !/^(?:bowls?|pots?|pans?|dish|tin|bag|processor|blender|oven|same|fridge|freezer)$/.test(words[i + v.length + 2] ?? '');
    // “or freeze before baking” is told for who wants it
    found.push({
      ...(prev === 'or' && found.length > 0 && { alternative: true }),
      act: prev === 'or' && found.length > 0 ? 'small' : goesIn ? 'add' : v.act,
      i,
      past: false,
    });
    i += v.length - 1;
  }
  return found.filter((f, k) => {
    const next = found[k + 1];
    // “leave to cool”, “put to soak”, “dejar enfriar”: one act
    return !(
      next &&
      !next.past &&
      next.i - f.i <= 6 &&
      /^(?:leave|put|set|allow|let|hang)$/.test(words[f.i]!) &&
      /^(?:to|it|them)$/.test(words[next.i - 1] ?? '') &&
      next.act !== 'small' &&
      !tokens.slice(f.i + 1, next.i + 1).some((x) => x.before !== 'space')
    );
  });
}

const boundary = /^(?:and|or|then|und|dann|et|puis|y|luego|e|poi|but|next)$/;

/** Where the clause of a verb begins: behind the sign or the “and” before it. */
function clauseStart(tokens: readonly Token[], verb: number, after: number, language: Language): number {
  for (let i = verb; i > after; i -= 1) {
    if (tokens[i]!.before !== 'space') return i;
    if (boundary.test(tokens[i - 1]!.word)) return i;
  }
  // languages whose verb stands last: the clause is all that is left
  return language === 'de' ? after + 1 : verb;
}

/** “Add the beetroot, which has been boiled the day before, and the stock”: behind the clause it goes on as before. */
function backToMain(acts: readonly Found[], tokens: readonly Token[]): Found[] {
  return acts.flatMap((a, k): Found[] => {
    const main = acts[k - 1];
    if (!a.past || !main || main.past) return [a];
    const end = acts[k + 1]?.i ?? tokens.length;
    const on = tokens.findIndex((t, i) => i > a.i && i < end && t.before === 'comma' && t.word === 'and');
    return on < 0 ? [a] : [a, { act: main.act, i: on, past: false }];
  });
}

interface Headed {
  section?: string;
  tokens: readonly Token[];
  at: number;
}

/** “For the filling: …”, “Dough: …”: a section's name before a colon, or alone in its line. */
function headed(s: Sentence, text: string, language: Language, alone: boolean): Headed {
  const colon = text.slice(s.at, s.end).search(/:(?!\d)/);
  const words = (to: number): readonly Token[] => s.tokens.filter((t) => t.at < s.at + to);
  const plain = (tokens: readonly Token[]): boolean =>
    tokens.length <= 6 && (/^(?:for|to|on|day|für|pour|para|per)$/.test(tokens[0]?.word ?? '') || actsOf(tokens, language).length === 0);
  if (colon > 0 && words(colon).length > 0 && plain(words(colon)) && !/\d\s*(?:min|h|°)/i.test(text.slice(s.at, s.at + colon))) {
    return { section: text.slice(s.at, s.at + colon).trim(), tokens: s.tokens.filter((t) => t.at > s.at + colon), at: s.at };
  }
  const whole = text.slice(s.at, s.end).trim();
  if (alone && s.tokens.length <= 5 && !/[.!?]$/.test(whole) && plain(s.tokens) && !/\d/.test(whole))
    return { section: whole, tokens: [], at: s.at };
  return { tokens: s.tokens, at: s.at };
}

/** “For the sauce, melt …”: a section by words. */
const forThe =
  /^(?:for|to make|für|pour|para|per) (?:the|den|die|das|le|la|les|el|los|las|il|lo) ([\p{L}-]+)(?:[,:]|\s+(?=(?:combine|mix|whisk|stir|melt|blend|toast|fry|heat|rub|beat|put|simmer|chop|knead|bring|soften|sweat|cook)\b))/iu;

/**
 * A paragraph as its acts of work, each with the words it is told in.
 * @param breaks where a cook has said that a step begins
 * @example segmentsOf('Cube the kohlrabi. Meanwhile sear the rabbit.', 'en').map((s) => s.act) // ['cut', 'brown']
 */
export function segmentsOf(text: string, language: Language, breaks?: ReadonlySet<number>): Segment[] {
  const sentences = sentencesOf(text, breaks);
  const list: Segment[] = [];
  for (const s of sentences) {
    const head = headed(s, text, language, sentences.length === 1);
    const { tokens } = head;
    const whole = text.slice(s.at, s.end);
    const section = head.section ?? forThe.exec(whole.trim())?.[1];
    const acts = backToMain(actsOf(tokens, language), tokens);
    const starts: number[] = [];
    acts.forEach((a, k) => starts.push(k === 0 ? 0 : clauseStart(tokens, a.i, acts[k - 1]!.i, language)));
    const parts =
      acts.length === 0
        ? [{ from: 0, to: tokens.length, act: undefined }]
        : acts.map((a, k) => ({ from: starts[k]!, to: starts[k + 1] ?? tokens.length, act: a }));
    const mask = masked(tokens, language);
    parts.forEach(({ from, to, act }, k) => {
      const mine = tokens.slice(from, to);
      const at = k === 0 ? s.at : (mine[0]?.at ?? s.at);
      const end = k === parts.length - 1 ? s.end : (tokens[to]?.at ?? s.end);
      const said = text.slice(at, end);
      list.push({
        at,
        end,
        tokens: mine,
        verbs: new Set(acts.filter((a) => a.i >= from && a.i < to).map((a) => a.i - from)),
        quiet: new Set([...mine.keys()].filter((n) => mask[from + n])),
        act: act?.act,
        verb: act ? act.i - from : -1,
        first: k === 0,
        full: k === 0 && s.full,
        past: act?.past ?? false,
        meanwhile: meanwhileWords.test(said) || (k === 0 && whiles.test(tokens[0]?.word ?? '') && tokens[0]?.word !== 'as'),
        then: thenWords.test(said.trim()),
        ...(k === 0 && section !== undefined && { section }),
        eve: eveWords.test(said) || (k === 0 && eveWords.test(head.section ?? '')),
        serve:
          serveWords.test(said.trim()) ||
          (head.section !== undefined && cookDayHeads.test(head.section)) ||
          (k === 0 && cookDayHeads.test(whole.trim())) ||
          act?.act === 'serve',
        nextDay: nextDayWords.test(said),
        alternative: act?.alternative ?? false,
      });
    });
  }
  return list;
}
