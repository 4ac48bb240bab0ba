import { useRef, useState, type DragEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { type RecipeDraft } from '#core/recipe';
import { sayError, useReadRecipeMutation } from '../sync/api.ts';
import { notReadable } from '../ui/readable.ts';
import { PageHead } from '../ui/ui.tsx';
import { Review } from './Review.tsx';

/** A recipe file in: dropped or chosen, read, checked, kept. A file that cannot be read says why and loses nothing. */
export function ImportPage() {
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const [read, state] = useReadRecipeMutation();
  const [drafts, setDrafts] = useState<RecipeDraft[]>([]);
  const [at, setAt] = useState(0);
  const [over, setOver] = useState(false);
  const [tooLarge, setTooLarge] = useState<string>();
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const why = notReadable(file);
    setTooLarge(why);
    if (why) return;
    const answer = await read({ text: await file.text(), fileName: file.name });
    if (answer.data) {
      setDrafts(answer.data.drafts);
      setAt(0);
    }
  };
  const onDrop = (e: DragEvent): void => {
    e.preventDefault();
    setOver(false);
    void take(e.dataTransfer.files[0]);
  };
  const draft = drafts[at];
  if (draft)
    return (
      <main className="page">
        {drafts.length > 1 && (
          <div className="chips" style={{ marginBottom: 12 }}>
            {drafts.map((d, i) => (
              <button type="button" key={d.revision.name + String(i)} className="chip" aria-pressed={i === at} onClick={() => setAt(i)}>
                {d.revision.name}
              </button>
            ))}
          </div>
        )}
        <Review key={at} draft={draft} onCancel={() => setDrafts([])} onDone={(id) => void navigate(`/recipes/${id}`)} />
      </main>
    );
  const said = tooLarge !== undefined ? { message: tooLarge, refusals: [] } : state.error ? sayError(state.error) : undefined;
  return (
    <main className="page">
      <PageHead
        title="Bring in a recipe"
        lead="From a file on this computer: a web page you saved that holds a recipe, or a recipe file in JSON-LD."
      />
      <div
        className="card"
        onDragOver={(e) => {
          e.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={onDrop}
        style={{
          borderStyle: 'dashed',
          borderWidth: 2,
          borderColor: 'var(--rim)',
          background: over ? 'var(--frost)' : 'var(--card)',
          padding: '54px 20px',
          textAlign: 'center',
        }}
      >
        <svg width="84" height="74" viewBox="0 0 84 74" aria-hidden="true">
          <path d="M20 4h34l14 14v52H20z" fill="var(--pale)" stroke="var(--rim)" strokeWidth="2.5" />
          <path d="M54 4v14h14M30 30h28M30 40h28M30 50h18" fill="none" stroke="var(--rim)" strokeWidth="2.5" />
        </svg>
        <h2 style={{ margin: '8px 0 4px' }}>Drop the file here</h2>
        <p className="quiet" style={{ marginBottom: 14 }}>
          .json, .html or .htm. You check everything before it is kept.
        </p>
        <input
          ref={input}
          type="file"
          accept=".json,.jsonld,.html,.htm,application/json,text/html"
          className="sr"
          aria-label="Recipe file"
          tabIndex={-1}
          onChange={(e) => {
            void take(e.currentTarget.files?.[0]);
            e.currentTarget.value = '';
          }}
        />
        <button type="button" className="btn" disabled={state.isLoading} onClick={() => input.current?.click()}>
          {state.isLoading ? 'Reading...' : 'Choose a file'}
        </button>
      </div>
      {said && (
        <div className="note bad" role="alert" style={{ marginTop: 14 }}>
          <b>{said.message}</b>
          {said.refusals[0] && (
            <div>
              {said.refusals[0].path}: expected {said.refusals[0].expected}, got {said.refusals[0].got}
            </div>
          )}
        </div>
      )}
      <p className="sub" style={{ marginTop: 14 }}>
        To save a page: in the browser choose “Save page as” and “HTML only”. <Link to="/recipes">Back to the recipes</Link>
      </p>
    </main>
  );
}
