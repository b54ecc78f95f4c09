const NAMED: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', '\'': '&#39;' }

/** A text, safe in HTML that somebody else's code writes. */
export const escaped = (text: string): string => text.replace(/[&<>"']/g, (c) => NAMED[c]!)
