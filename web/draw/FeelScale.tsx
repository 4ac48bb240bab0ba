/** A pot on a scale: what goes in is weighed as it goes. */
export const FeelScale = () => (
  <svg
    width="84"
    height="74"
    viewBox="0 0 84 74"
    fill="none"
    stroke="var(--rim)"
    strokeWidth="2.5"
    strokeLinejoin="round"
    aria-hidden="true"
  >
    <path d="M22 12v24a6 6 0 0 0 6 6h28a6 6 0 0 0 6-6V12M12 18h10M62 18h10" fill="var(--pale)" />
    <path d="M14 48h56M18 48l4 22h40l4-22" />
    <path d="M34 60h16" strokeWidth="4" />
  </svg>
);
