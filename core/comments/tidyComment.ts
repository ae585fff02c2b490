/** Signs that turn the direction of what follows, on this page and beside it. */
const TURNING = /[\u202A-\u202E\u2066-\u2069]/g;
/** Marks on one letter that bury the lines above and below. */
const BURYING = /(\p{M}{3})\p{M}+/gu;

/** What a stranger wrote as one line that does nothing but say it. @param longest in letters as JavaScript counts them */
export function tidyComment(text: string, longest: number): string {
  const tidy = text
    .replace(TURNING, "")
    .replace(/[\t\n\r\u2028\u2029]+/g, " ")
    .replace(/\p{Cc}/gu, "")
    .replace(BURYING, "$1")
    .trim();
  // A pair of surrogates is not cut in two.
  return tidy.slice(0, longest).replace(/[\uD800-\uDBFF]$/, "");
}
