import { expect, test } from "vitest";
import { mulberry } from "../../test-support/random.ts";
import { LARGEST_PART, PartReader, type StreamPart, writePart } from "./secondStream.ts";

test.each(Array.from({ length: 50 }, (_, seed) => seed))(
  "parts are read as they were written, in whatever pieces they come (seed %i)",
  (seed) => {
    const random = mulberry(seed);
    const upTo = (count: number) => Math.floor(random() * count);
    const of = <T>(all: readonly T[]): T => all[upTo(all.length)] as T;
    const parts = Array.from({ length: 30 }, (): StreamPart => {
      const bytes = Uint8Array.from({ length: upTo(900) }, () => upTo(256));
      return of<StreamPart>([
        { kind: "pages", bytes },
        { kind: "log", bytes },
        { kind: "said", said: { kind: "beat", atMs: upTo(1e6) } },
        { kind: "said", said: { kind: "hello", show: "Laternenfest „Möwe“", program: "1.0" } },
      ]);
    });
    const all = Buffer.concat(parts.map(writePart));
    const reader = new PartReader();
    const read: StreamPart[] = [];
    for (let at = 0; at < all.length; ) {
      const length = 1 + upTo(of([3, 50, 2_000]));
      read.push(...(reader.read(all.subarray(at, at + length)) ?? []));
      at += length;
    }
    expect(read).toEqual(parts);
  },
);

test.each([
  ["another kind", Uint8Array.of(9, 0, 0, 0, 1, 1)],
  ["a length that is too large", Uint8Array.of(1, 255, 255, 255, 255)],
  ["words that are none", Uint8Array.of(0, 0, 0, 0, 2, 123, 34)],
  ["words that mean nothing", writePart({ kind: "said", said: { kind: "beat", atMs: Number.NaN } })],
])("%s is no such stream", (_name, bytes) => {
  expect(new PartReader().read(bytes)).toBeUndefined();
});

test("a part that is too large is not written", () => {
  expect(() => writePart({ kind: "log", bytes: new Uint8Array(LARGEST_PART + 1) })).toThrow(/4194305/);
});
