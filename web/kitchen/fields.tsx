import { Modal } from '@mantine/core';
import { useId, type ReactNode } from 'react';

/** A number typed as text; undefined when it is not one. */
export const numberOf = (text: string): number | undefined => {
  const n = Number(text.replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(n) ? n : undefined;
};

export function Field({
  label,
  value,
  onChange,
  type = 'text',
  unit,
  width,
  bad,
}: {
  label: string;
  value: string;
  onChange: (v: string) => void;
  type?: 'text' | 'date' | 'number';
  unit?: string;
  width?: number;
  bad?: string | undefined;
}) {
  const id = useId();
  return (
    <div style={{ flex: width ? undefined : 1, minWidth: width ?? 140 }}>
      <label className="lab" htmlFor={id}>
        {label}
        {unit ? <span className="quiet"> ({unit})</span> : null}
      </label>
      <input
        id={id}
        className="field"
        style={{ width: width ?? '100%' }}
        type={type === 'number' ? 'text' : type}
        inputMode={type === 'number' ? 'decimal' : undefined}
        value={value}
        aria-invalid={Boolean(bad)}
        onChange={(e) => onChange(e.currentTarget.value)}
      />
      {bad && (
        <div className="sub" style={{ color: 'var(--tomato)' }}>
          {bad}
        </div>
      )}
    </div>
  );
}

export function Pick<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (v: T) => void;
}) {
  const id = useId();
  return (
    <div style={{ minWidth: 150 }}>
      <label className="lab" htmlFor={id}>
        {label}
      </label>
      <select id={id} className="field" style={{ width: '100%' }} value={value} onChange={(e) => onChange(e.currentTarget.value as T)}>
        {options.map(([v, name]) => (
          <option key={v} value={v}>
            {name}
          </option>
        ))}
      </select>
    </div>
  );
}

export const Toggle = ({ on, onChange, children }: { on: boolean; onChange: (on: boolean) => void; children: ReactNode }) => (
  <button type="button" className="chip" aria-pressed={on} onClick={() => onChange(!on)}>
    {children}
  </button>
);

/** A form in a sheet: fields, what is wrong, save and remove. */
export function Sheet({
  title,
  children,
  problems,
  onSave,
  onRemove,
  onClose,
}: {
  title: string;
  children: ReactNode;
  problems: readonly string[];
  onSave: () => void;
  onRemove?: (() => void) | undefined;
  onClose: () => void;
}) {
  return (
    <Modal opened onClose={onClose} title={<span className="mid">{title}</span>} size={660} closeButtonProps={{ 'aria-label': 'Close' }}>
      <form
        className="stack"
        onSubmit={(e) => {
          e.preventDefault();
          if (problems.length === 0) onSave();
        }}
      >
        {children}
        {problems.map((p) => (
          <p key={p} className="note bad" role="alert">
            {p}
          </p>
        ))}
        <div className="row">
          <button type="submit" className="btn" disabled={problems.length > 0}>
            Keep
          </button>
          {onRemove && (
            <button type="button" className="link danger" onClick={onRemove}>
              Remove
            </button>
          )}
        </div>
      </form>
    </Modal>
  );
}
