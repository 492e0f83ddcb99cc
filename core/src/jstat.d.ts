/** What tests use of an independent statistics library. */
declare module 'jstat' {
  interface Distribution {
    mean(a: number, b: number): number;
    variance(a: number, b: number): number;
    inv(p: number, a: number, b: number): number;
    pdf(x: number, a: number, b: number): number;
  }
  const jstat: { beta: Distribution; normal: Distribution };
  export default jstat;
}
