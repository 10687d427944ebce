/** The part of jStat 1.9 that is used here; the package brings no types of its own. */
declare module 'jstat' {
  interface Continuous {
    cdf(x: number, ...parameters: number[]): number
    inv(p: number, ...parameters: number[]): number
  }
  interface Whole {
    readonly jStat: {
      readonly normal: Continuous
      readonly beta: Continuous
      readonly studentt: Continuous
      readonly chisquare: Continuous
      readonly noncentralt: { cdf(x: number, df: number, ncp: number): number }
      gammaln(x: number): number
      ibeta(x: number, a: number, b: number): number
    }
  }
  const whole: Whole
  export default whole
}
