import { describe, expect, it } from 'vitest';
import { sessionSchema, type Session } from '#core/contract';
import { planDraftOf, readBreaks, readHours, readPlanDraft, readQuiet, sessionOfDraft, withDish } from './planDraft.ts';

const session: Session = {
  id: 's1',
  name: 'Sunday of broths',
  day: '2026-11-29',
  startAt: '09:30',
  cooks: [
    { id: 'c_marit', name: 'Marit' },
    { id: 'c_osk', name: 'Osk' },
  ],
  batches: [{ id: 'b1', recipeId: 'r1', revisionId: 'v1', portions: 6, unsalted: 2 }],
};
const draft = planDraftOf(session, session);

describe('a plan as it is typed', () => {
  it('comes back as the session it was', () => expect(sessionOfDraft(draft)).toEqual(session));
  it('is a session that can be kept, whatever is typed', () => {
    for (const typed of [
      { name: '   ' },
      { name: 'x'.repeat(300) },
      { cooks: '' },
      { cooks: ', ,Jo,' },
      { cooks: 'a,b,c,d,e,f,g,h' },
      { cooks: '10:30-13:00, Ana from 25:00, -, Bo 9.15 to 12' },
      { quiet: '14:30', finishBy: 'soon' },
      { quiet: '13:00-14:30', finishBy: '16:00' },
      { breaks: 'Lunch 12-13, 99-100, x'.repeat(20), interruptions: 'often', cleanFirst: true },
      { breaks: `${'long '.repeat(30)} 12-13`, interruptions: '7' },
      {
        dishes: [
          { ...draft.dishes[0]!, text: '1e9' },
          { ...draft.dishes[0]!, text: 'six' },
          { ...draft.dishes[0]!, text: '' },
        ],
      },
    ])
      expect(sessionSchema.safeParse(sessionOfDraft({ ...draft, ...typed })).success, JSON.stringify(typed)).toBe(true);
  });
  it('keeps the hours of who comes later or goes sooner, quiet hours, when it is to be over, and the order that was taken', () => {
    const whole: Session = {
      ...session,
      cooks: [
        { id: 'c_marit', name: 'Marit', from: '10:30', until: '13:00' },
        { id: 'c_osk', name: 'Osk', until: '12:00' },
      ],
      finishBy: '16:00',
      quiet: ['13:00', '14:30'],
      breaks: [
        { name: 'Lunch', from: '12:30', until: '13:00' },
        { name: 'Feed the baby', from: '11:30', until: '11:50', cookId: 'c_osk' },
      ],
      interruptions: 1.6,
      cleanFirst: true,
      order: { placed: [{ taskId: 'prep:leek', startMin: 5, cookId: 'c_osk' }], pinned: ['prep:leek'] },
    };
    expect(planDraftOf(whole, whole).cooks).toBe('Marit 10:30-13:00, Osk -12:00');
    expect(sessionOfDraft(planDraftOf(whole, whole))).toEqual(whole);
  });
  it.each([
    ['Ana 10:30-13:00', { name: 'Ana', from: '10:30', until: '13:00' }],
    ['Ana 9.15 to 12.00', { name: 'Ana', from: '09:15', until: '12:00' }],
    ['Ana from 11:00', { name: 'Ana', from: '11:00' }],
    ['Ana until 11:00', { name: 'Ana', until: '11:00' }],
    ['Grandad Osk 10:00 - 12:30', { name: 'Grandad Osk', from: '10:00', until: '12:30' }],
    ['Anne-Marie', { name: 'Anne-Marie' }],
    ['Ana 10-13:30', { name: 'Ana', from: '10:00', until: '13:30' }],
    ['Ana 10-1', { name: 'Ana', from: '10:00', until: '13:00' }],
    ['Ana from 9', { name: 'Ana', from: '09:00' }],
    ['Cook 2', { name: 'Cook 2' }],
    ['Ana 25:00-26:00', { name: 'Ana 25:00-26:00' }],
  ])('reads “%s”', (text, hours) => expect(readHours(text)).toEqual(hours));
  it('keeps nothing quiet when the hours cannot be read', () => {
    expect(readQuiet(' 13.00 - 14:30 ')).toEqual(['13:00', '14:30']);
    for (const text of ['', '13:00', 'a nap', 'nap 13:00-14:30']) expect(readQuiet(text)).toBeUndefined();
  });
  it.each([
    ['Lunch 12:30-13:00', [{ name: 'Lunch', from: '12:30', until: '13:00' }], []],
    [
      'lunch 12.30 to 13, Feed the baby 11:30-11:50 osk',
      [
        { name: 'lunch', from: '12:30', until: '13:00' },
        { name: 'Feed the baby', from: '11:30', until: '11:50', cookId: 'c_osk' },
      ],
      [],
    ],
    ['12:30-13:00', [{ name: 'A break', from: '12:30', until: '13:00' }], []],
    ['Walk 3-4', [{ name: 'Walk', from: '15:00', until: '16:00' }], []],
    ['Walk 13:00-12:00, nap, tea 16-16.20 for Nobody, ,', [], ['Walk 13:00-12:00', 'nap', 'tea 16-16.20 for Nobody']],
  ])('reads the breaks “%s”', (text, breaks, bad) => expect(readBreaks(text, [{ id: 'c_osk', name: 'Osk' }])).toEqual({ breaks, bad }));
  it('knows a cook again by name, else by place', () => {
    expect(sessionOfDraft({ ...draft, cooks: 'Osk' }).cooks).toEqual([{ id: 'c_osk', name: 'Osk' }]);
    expect(sessionOfDraft({ ...draft, cooks: 'Maritt, Osk' }).cooks[0]).toEqual({ id: 'c_marit', name: 'Maritt' });
  });
  it('cooks a dish that is on the plan already at the new size, not twice', () => {
    const again = withDish(draft, { id: 'b9', recipeId: 'r1', revisionId: 'v2', portions: 12 });
    expect(sessionOfDraft(again).batches).toEqual([{ id: 'b1', recipeId: 'r1', revisionId: 'v2', portions: 12 }]);
    expect(withDish(draft, { id: 'b9', recipeId: 'r2', revisionId: 'v2', portions: 12 }).dishes).toHaveLength(2);
  });
  it('is read back from the device, and begins anew when an older page wrote something else', () => {
    expect(readPlanDraft(JSON.parse(JSON.stringify(draft)))).toEqual(draft);
    expect(readPlanDraft({ name: 'Sunday' })).toBeUndefined();
  });
});
