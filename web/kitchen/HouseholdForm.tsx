import { useState } from 'react';
import type { Household } from '#core/contract';
import { useCommands } from '../app/commands.ts';
import { Field, numberOf, Pick } from './fields.tsx';

/** Settings that move numbers everywhere: country, hours, stock to keep. */
export function HouseholdForm({ household }: { household: Household }) {
  const { write } = useCommands();
  const [h, setH] = useState(household);
  const [t, setT] = useState({
    par: String(h.parDays),
    lead: String(h.leadDays),
    broth: String(h.brothPacksPerWeek),
    groups: h.groupSizes.join(', '),
    address: h.address ?? '',
  });
  const par = numberOf(t.par);
  const lead = numberOf(t.lead);
  const broth = numberOf(t.broth);
  const groups = t.groups
    .split(',')
    .map((g) => Number(g.trim()))
    .filter((g) => Number.isInteger(g) && g > 0 && g <= 12);
  const whole = (n: number | undefined, most: number): boolean => n !== undefined && Number.isInteger(n) && n >= 0 && n <= most;
  const problems = [
    ...(h.name.trim() ? [] : ['Give the household a name.']),
    ...(/^[A-Z]{3}$/.test(h.currency) ? [] : ['A currency has three letters, such as GBP.']),
    ...(whole(par, 60) ? [] : ['Days to keep in hand: a whole number up to 60.']),
    ...(whole(lead, 30) ? [] : ['Days of notice: a whole number up to 30.']),
    ...(broth !== undefined && broth >= 0 && broth <= 50 ? [] : ['Broth a week: 0 to 50.']),
    ...(groups.length > 0 ? [] : ['Pack sizes: whole portions, such as 2, 1.']),
  ];
  const save = (): void => {
    const { address: _a, ...rest } = h;
    void write(
      [
        {
          table: 'household',
          id: 'household',
          data: {
            ...rest,
            name: h.name.trim(),
            parDays: par ?? 7,
            leadDays: lead ?? 3,
            brothPacksPerWeek: broth ?? 0,
            groupSizes: groups,
            ...(t.address.trim() && { address: t.address.trim() }),
          },
        },
      ],
      'Household settings kept',
    );
  };
  return (
    <section className="card" aria-label="Household" style={{ maxWidth: 860 }}>
      <h2>Household</h2>
      <div className="stack">
        <div className="row wrap" style={{ alignItems: 'flex-start' }}>
          <Field label="Name" value={h.name} onChange={(name) => setH({ ...h, name })} />
          <Pick
            label="Country"
            value={h.country}
            options={[
              ['GB', 'United Kingdom'],
              ['US', 'United States'],
              ['EU', 'European Union'],
            ]}
            onChange={(country) => setH({ ...h, country })}
          />
          <Pick
            label="Measures"
            value={h.units}
            options={[
              ['metric', 'grams and litres'],
              ['us', 'US cups and pounds'],
              ['uk', 'pounds and pints'],
            ]}
            onChange={(units) => setH({ ...h, units })}
          />
          <Pick
            label="Scale shows"
            value={String(h.scaleStepG) as '1' | '0.1'}
            options={[
              ['1', 'whole grams'],
              ['0.1', 'tenths of a gram'],
            ]}
            onChange={(s) => setH({ ...h, scaleStepG: s === '0.1' ? 0.1 : 1 })}
          />
          <Field label="Currency" width={90} value={h.currency} onChange={(currency) => setH({ ...h, currency: currency.toUpperCase() })} />
          <Pick
            label="Dates and numbers"
            value={h.locale}
            options={[...new Set(['en-GB', 'en-US', 'en-IE', h.locale])].map((x) => [x, x] as const)}
            onChange={(locale) => setH({ ...h, locale })}
          />
          <Field label="Time zone" width={190} value={h.timeZone} onChange={(timeZone) => setH({ ...h, timeZone })} />
        </div>
        <div className="row wrap" style={{ alignItems: 'flex-start' }}>
          <Pick
            label="Fridge lives"
            value={h.lives}
            options={[
              ['usual', 'usual for the country'],
              ['cautious', 'the shorter of UK and US'],
            ]}
            onChange={(lives) => setH({ ...h, lives })}
          />
          <Field label="Dinner at" width={110} value={h.dinnerAt} onChange={(dinnerAt) => setH({ ...h, dinnerAt })} />
          <Field label="Pack sizes liked" unit="portions" width={170} value={t.groups} onChange={(v) => setT({ ...t, groups: v })} />
        </div>
        <div className="row wrap" style={{ alignItems: 'flex-start' }}>
          <Field
            label="Dinners to keep in hand"
            unit="days"
            type="number"
            width={190}
            value={t.par}
            onChange={(v) => setT({ ...t, par: v })}
          />
          <Field
            label="Notice before cooking"
            unit="days"
            type="number"
            width={190}
            value={t.lead}
            onChange={(v) => setT({ ...t, lead: v })}
          />
          <Field
            label="Broth a week"
            unit="packs of 500 ml"
            type="number"
            width={210}
            value={t.broth}
            onChange={(v) => setT({ ...t, broth: v })}
          />
        </div>
        <Field
          label="Address that a label’s code opens, if phones reach Tambo by one"
          value={t.address}
          onChange={(v) => setT({ ...t, address: v })}
        />
        {problems.map((p) => (
          <p key={p} className="note bad" role="alert">
            {p}
          </p>
        ))}
        <div>
          <button type="button" className="btn" disabled={problems.length > 0} onClick={save}>
            Keep
          </button>
        </div>
      </div>
    </section>
  );
}
