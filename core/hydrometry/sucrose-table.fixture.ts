/**
 * SG 20/20 °C of sucrose solutions by °Brix: NBS Circular 440 (1942), table 114, as handbooks quote it to four decimals, from
 * memory: it may differ from the circular by 0.0001. The anchors of craft 4.1 are among them. To renew: copy the column "apparent
 * specific gravity 20/20".
 */
export const NBS_440 = [
  [0, 1.0000], [5, 1.0197], [10, 1.0400], [15, 1.0611], [20, 1.0830], [25, 1.1056], [30, 1.1291], [35, 1.1534], [40, 1.1787], [45, 1.2048]
] as const
