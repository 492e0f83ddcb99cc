const letters = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
let next = 0;

/** Initials that nobody of a test has yet: three letters, counted up. */
export function someInitials(): string {
  next += 1;
  return [676, 26, 1].map((place) => letters[Math.floor(next / place) % 26]!).join('');
}
