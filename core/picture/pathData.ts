import svgpath from "svgpath";
import { languageCode, t } from "../language/t.ts";
import type { Point, Rect } from "./picture.ts";

/** The longest path that is read: some thousands of curves. */
const MOST_CHARACTERS = 60_000;
const MOST_COMMANDS = 4_000;

/**
 * SVG path data (SVG 2, 9.3) made plain: absolute moves, lines, curves and closes, to a thousandth.
 * @returns a sentence where it cannot be read
 */
export function cleanPath(data: string): { readonly data: string } | { readonly problem: string } {
  if (data.length > MOST_CHARACTERS)
    return {
      problem: t`its path is longer than ${MOST_CHARACTERS.toLocaleString(languageCode())} characters`,
    };
  const path = svgpath(data) as ReturnType<typeof svgpath> & { readonly err?: string };
  if (path.err) return { problem: t`its path cannot be read (${path.err.replace(/^SvgPath: /, "")})` };
  let count = 0;
  let isWhole = true;
  const plain = path.abs().unshort().unarc();
  plain.iterate((segment) => {
    count++;
    if (segment.slice(1).some((value) => !Number.isFinite(value))) isWhole = false;
  });
  if (!isWhole) return { problem: t`its path has a number that is none` };
  if (count === 0) return { problem: t`its path is empty` };
  if (count > MOST_COMMANDS) return { problem: t`its path has more than ${MOST_COMMANDS} pieces` };
  return { data: plain.round(3).toString() };
}

/** Plain path data moved and stretched: x → x × scaleX + dx. */
export function placePath(data: string, scaleX: number, scaleY: number, dx: number, dy: number): string {
  return svgpath(data).matrix([scaleX, 0, 0, scaleY, dx, dy]).round(3).toString();
}

type Segment = readonly [command: string, ...values: number[]];

/** Straight pieces to a curve: close enough for its length and its edges. */
const PIECES = 24;

/** A path as chains of points, one for each move. */
function chainsOf(data: string): Point[][] {
  const chains: Point[][] = [];
  let chain: Point[] = [];
  let at: Point = { x: 0, y: 0 };
  const to = (point: Point) => {
    chain.push(point);
    at = point;
  };
  svgpath(data)
    .abs()
    .unshort()
    .unarc()
    .iterate((segment) => {
      const [command, ...v] = segment as unknown as Segment;
      const n = (i: number) => v[i] ?? 0;
      switch (command) {
        case "M":
          chain = [{ x: n(0), y: n(1) }];
          chains.push(chain);
          at = { x: n(0), y: n(1) };
          break;
        case "L":
          to({ x: n(0), y: n(1) });
          break;
        case "H":
          to({ x: n(0), y: at.y });
          break;
        case "V":
          to({ x: at.x, y: n(0) });
          break;
        case "C": {
          const from = at;
          for (let i = 1; i <= PIECES; i++) {
            const t = i / PIECES;
            const u = 1 - t;
            const mix = (a: number, b: number, c: number, d: number) =>
              u * u * u * a + 3 * u * u * t * b + 3 * u * t * t * c + t * t * t * d;
            to({ x: mix(from.x, n(0), n(2), n(4)), y: mix(from.y, n(1), n(3), n(5)) });
          }
          break;
        }
        case "Q": {
          const from = at;
          for (let i = 1; i <= PIECES; i++) {
            const t = i / PIECES;
            const u = 1 - t;
            const mix = (a: number, b: number, c: number) => u * u * a + 2 * u * t * b + t * t * c;
            to({ x: mix(from.x, n(0), n(2)), y: mix(from.y, n(1), n(3)) });
          }
          break;
        }
        case "Z": {
          const [first] = chain;
          if (first) to(first);
          break;
        }
        default:
          throw new Error(`Plain path data has no command "${command}"`);
      }
    });
  return chains;
}

/** The length of a path along itself, px. */
export function pathLength(data: string): number {
  let sum = 0;
  for (const chain of chainsOf(data))
    for (const [i, point] of chain.entries()) {
      const before = chain[i - 1];
      if (before) sum += Math.hypot(point.x - before.x, point.y - before.y);
    }
  return sum;
}

/** The rectangle around a path. */
export function pathBounds(data: string): Rect {
  const points = chainsOf(data).flat();
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  const x = Math.min(...xs);
  const y = Math.min(...ys);
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}
