import { describe, expect, it } from 'vitest';
import { sessionSchema, type Session } from '#core/contract';
import { planDraftOf, readPlanDraft, sessionOfDraft, withDish } from './planDraft.ts';

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
