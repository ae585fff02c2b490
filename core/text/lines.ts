/** Field text in lines, empty ones left out. */
export const linesOf = (words: string): string[] =>
  words
    .split(/\r\n|\r|\n/)
    .map((line) => line.trim())
    .filter((line) => line !== "");
