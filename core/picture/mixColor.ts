/** A colour between two, straight alpha, `t` from 0 to 1. @param a CSS hex, as is b */
export function mixColor(a: string, b: string, t: number): string {
  if (t <= 0) return a;
  if (t >= 1) return b;
  const channel = (color: string, i: number) =>
    i === 3 && color.length < 9 ? 255 : Number.parseInt(color.slice(1 + i * 2, 3 + i * 2), 16);
  const mixed = [0, 1, 2, 3].map((i) => Math.round(channel(a, i) * (1 - t) + channel(b, i) * t));
  return `#${mixed.map((value) => value.toString(16).padStart(2, "0")).join("")}`;
}
