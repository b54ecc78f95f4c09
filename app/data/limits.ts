/** Larger files are refused before they are read. */
export const LARGEST_FILE_BYTES = 50_000_000
