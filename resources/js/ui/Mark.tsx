export function Mark() {
  return (
    <svg width="40" height="26" viewBox="0 0 40 26" aria-hidden="true">
      <path d="M2 2h36v9l-8 13H10L2 11z" fill="none" stroke="currentColor" strokeWidth="2" />
      <path d="M9 8l8 11M31 8l-8 11" stroke="var(--color-water)" strokeWidth="2" strokeDasharray="5 3" />
    </svg>
  );
}
