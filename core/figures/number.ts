/** A number for the screen: groups of three parted by a thin space from five digits on, a point before decimals. */
export function formatNumber(value: number, decimals: number): string {
  if (!Number.isFinite(value)) throw new Error(`A number on screen must be finite, not ${value}`);
  const fixed = Math.abs(value).toFixed(decimals);
  const [whole = "0", fraction] = fixed.split(".");
  const grouped = whole.length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, "\u202f") : whole;
  const isZero = Number(fixed) === 0;
  return `${value < 0 && !isZero ? "-" : ""}${grouped}${fraction ? `.${fraction}` : ""}`;
}

/**
 * The number in a field, with what stands around it ("£ 1,250 so far"); undefined when there is none, more than one,
 * or it is not finite. A comma or a space before exactly three digits groups; any other comma is a decimal point.
 */
export function parseNumber(
  text: string,
):
  | { readonly value: number; readonly decimals: number; readonly before: string; readonly after: string }
  | undefined {
  const match =
    /^([^\d+-]*)([+-]?\d{1,3}(?:[ ,\u202f\u00a0]\d{3})+(?:\.\d+)?|[+-]?\d+(?:[.,]\d+)?)([^\d]*)$/u.exec(
      text.trim(),
    );
  if (!match) return undefined;
  const [, before = "", digits = "", after = ""] = match;
  const isGrouped = /^[+-]?\d{1,3}([ ,\u202f\u00a0]\d{3})+(\.\d+)?$/u.test(digits);
  const plain = isGrouped ? digits.replace(/[ ,\u202f\u00a0]/gu, "") : digits.replace(",", ".");
  const value = Number(plain);
  if (!Number.isFinite(value)) return undefined;
  return { value, decimals: Math.min(4, plain.split(".")[1]?.length ?? 0), before, after };
}
