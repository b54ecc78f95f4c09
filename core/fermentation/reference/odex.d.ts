/** What is used of odex, whose own source does not pass our compiler's rules. */
export class Solver {
  constructor(dimensions: number)
  absoluteTolerance: number
  relativeTolerance: number
  solve(rates: (x: number, y: number[]) => number[], x: number, y: number[], xEnd: number): { y: number[] }
}
