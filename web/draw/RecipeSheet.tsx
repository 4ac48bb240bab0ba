/** A sheet with lines, the mark of a recipe. */
export const RecipeSheet = () => (
  <svg width="84" height="74" viewBox="0 0 84 74" aria-hidden="true">
    <path d="M20 4h34l14 14v52H20z" fill="var(--pale)" stroke="var(--rim)" strokeWidth="2.5" />
    <path d="M54 4v14h14M30 30h28M30 40h28M30 50h18" fill="none" stroke="var(--rim)" strokeWidth="2.5" />
  </svg>
);
