declare module 'minimize-powell' {
  /** Powell's method of conjugate directions, without derivatives. */
  export default function minimizePowell(
    f: (x: number[]) => number,
    x0: number[],
    options?: {
      readonly maxIter?: number
      readonly tolerance?: number
      readonly lineTolerance?: number
      readonly bounds?: readonly (readonly [number, number])[]
    },
  ): number[]
}
