/** A value of a message as it was typed: what is a number is one. */
export const typedValue = (text: string): string | number =>
  /^[-+]?\d+(\.\d+)?$/.test(text) ? Number(text) : text;
