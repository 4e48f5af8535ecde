/** What the tests use of jStat, which brings no types. */
declare module 'jstat' {
  const jstat: {
    jStat: {
      studentt: { inv(p: number, df: number): number };
      noncentralt: { cdf(x: number, df: number, shift: number): number };
    };
  };
  export default jstat;
}
