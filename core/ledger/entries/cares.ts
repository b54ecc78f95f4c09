/** What is done to an empty vessel; wood is swelled with water, and kept sweet with sulphur or a holding solution. */
export const CARES = ['cleaned', 'sanitised', 'swelled', 'sulphured'] as const
export type Care = (typeof CARES)[number]
