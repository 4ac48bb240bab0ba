import { useState } from 'react';
import { useNavigate } from 'react-router';

/** Finds a pack by the code on its lid. */
export function FindByCode() {
  const [code, setCode] = useState('');
  const navigate = useNavigate();
  return (
    <form
      className="row"
      style={{ gap: 6 }}
      onSubmit={(e) => {
        e.preventDefault();
        if (code.trim()) void navigate(`/p/${encodeURIComponent(code.trim())}`);
      }}
    >
      <input
        className="field"
        style={{ width: 150, letterSpacing: 1 }}
        placeholder="Code on the lid"
        aria-label="Code on the lid"
        value={code}
        onChange={(e) => setCode(e.currentTarget.value)}
      />
      <button type="submit" className="btn">
        Find a pack
      </button>
    </form>
  );
}
