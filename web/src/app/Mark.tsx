/** The mark of the application: a bay with a car lift in it. */
export function Mark() {
  return (
    <svg width="28" height="28" viewBox="0 0 32 32" aria-hidden="true">
      <path d="M5 26V13l11-7 11 7v13" fill="none" stroke="currentColor" strokeWidth="2.6" strokeLinejoin="round" />
      <path d="M11 26v-6h10v6M8.5 20h15" fill="none" stroke="#E8B23A" strokeWidth="2.6" />
    </svg>
  );
}
