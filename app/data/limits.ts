/** Larger files are refused before they are read. */
export const LARGEST_FILE_BYTES = 50_000_000

/** More entries than this are not told one by one after they were written, and not undone with a tap. */
export const MOST_TOLD = 2000
