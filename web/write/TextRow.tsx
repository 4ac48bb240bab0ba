import { Textarea } from '@mantine/core';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { IconGripVertical } from '@tabler/icons-react';
import { memo, type ClipboardEvent, type KeyboardEvent, type ReactNode } from 'react';
import c from './Texts.module.css';

/** What a key means for a list of texts. */
export interface TextActs {
  type: (id: string, text: string) => void;
  enter: (id: string, caret: number) => void;
  back: (id: string) => void;
  step: (id: string, by: 1 | -1) => void;
  move: (id: string, by: 1 | -1) => void;
  paste: (id: string, caret: number, text: string) => boolean;
}

const caretOf = (e: { currentTarget: HTMLTextAreaElement }): number => e.currentTarget.selectionStart;
/** A text that stands on one line: arrows leave it at once. */
const oneLine = (field: HTMLTextAreaElement): boolean => field.scrollHeight < 56;

function onKey(e: KeyboardEvent<HTMLTextAreaElement>, id: string, acts: TextActs): void {
  const field = e.currentTarget;
  const selected = field.selectionStart !== field.selectionEnd;
  const [front, end] = [field.selectionStart === 0 && !selected, field.selectionEnd === field.value.length && !selected];
  const arrow = e.key === 'ArrowUp' ? -1 : e.key === 'ArrowDown' ? 1 : 0;
  if (e.nativeEvent.isComposing) return;
  if (e.key === 'Enter' && !e.shiftKey) acts.enter(id, caretOf(e));
  else if (e.key === 'Backspace' && front) acts.back(id);
  else if (arrow !== 0 && e.altKey) acts.move(id, arrow);
  else if (arrow !== 0 && (oneLine(field) || (arrow < 0 ? front : end))) acts.step(id, arrow);
  else return;
  e.preventDefault();
}

/** Letters that stand in a row of the field, about. */
const lettersIn = { line: 42, step: 84 };

interface Props {
  id: string;
  text: string;
  label: string;
  placeholder: string | undefined;
  acts: TextActs;
  /** Before the text. */
  number?: ReactNode;
  heading?: boolean;
  isStep?: boolean;
  children?: ReactNode;
}

/** One text of a recipe: typed, split by Enter, joined by Backspace, moved by its handle or by Alt and arrows. */
export const TextRow = memo(function TextRow({ id, text, label, placeholder, acts, number, heading, isStep, children }: Props) {
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({ id });
  return (
    <div
      ref={setNodeRef}
      className={c.row}
      data-heading={heading || undefined}
      data-step={isStep || undefined}
      data-held={isDragging || undefined}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <span className={c.handle} aria-label={`Move ${label}`} {...attributes} {...listeners} tabIndex={-1}>
        <IconGripVertical size={18} aria-hidden />
      </span>
      {number}
      <Textarea
        className={c.text}
        // as high as its text; a browser that does not size a field by itself goes by the letters
        rows={Math.max(1, Math.ceil(text.length / lettersIn[isStep ? 'step' : 'line']))}
        aria-label={label}
        placeholder={placeholder}
        value={text}
        data-text={id}
        maxLength={isStep ? 4000 : 2000}
        onChange={(e) => acts.type(id, e.currentTarget.value.replace(/\n/g, ' '))}
        onKeyDown={(e) => onKey(e, id, acts)}
        onPaste={(e: ClipboardEvent<HTMLTextAreaElement>) => {
          const pasted = e.clipboardData.getData('text/plain');
          if (/\n\s*\S/.test(pasted) && acts.paste(id, caretOf(e), pasted)) e.preventDefault();
        }}
      />
      {children}
    </div>
  );
});
