/** How long words take to be read, ms. @param wordsPerMinute how fast people read */
export const readingMs = (words: number, wordsPerMinute: number): number => (words / wordsPerMinute) * 60_000;
