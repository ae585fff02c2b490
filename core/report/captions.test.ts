import { parse } from "@plussub/srt-vtt-parser";
import { expect, test } from "vitest";
import { mulberry } from "../../test-support/random.ts";
import { captionsOf, subRip, webVtt } from "./captions.ts";

const row = (fromMs: number, untilMs: number | null, words: string) => ({ fromMs, untilMs, words });

test("words on two screens are one; what was only passed over, and what has no words, is none", () => {
  const captions = captionsOf(
    [
      row(10_000, 14_000, "The tide has gone / to fetch the moon"),
      row(10_000, 15_000, "The tide has gone / to fetch the moon"),
      row(14_000, 14_100, "passed over"),
      row(15_000, null, "The slip is dark"),
      row(9_000, 20_000, ""),
    ],
    9_000,
    20_500,
  );
  expect(captions).toEqual([
    { fromMs: 1_000, untilMs: 6_000, words: "The tide has gone\nto fetch the moon" },
    { fromMs: 6_000, untilMs: 11_500, words: "The slip is dark" },
  ]);
});

test("the same words later are another", () => {
  const captions = captionsOf([row(0, 1_000, "Carry"), row(5_000, 6_000, "Carry")], 0, 9_000);
  expect(captions.map(({ fromMs }) => fromMs)).toEqual([0, 5_000]);
});

// W3C WebVTT: an hour has two figures or more, milliseconds three, and "&", "<" are written out.
test("WebVTT as the standard has it", () => {
  expect(webVtt([{ fromMs: 3_661_007, untilMs: 360_000_000, words: "Salt & <light>\n\n--> home" }])).toBe(
    "WEBVTT\n\n1\n01:01:01.007 --> 100:00:00.000\nSalt &amp; &lt;light&gt;\n--&gt; home\n",
  );
});

test("another parser reads both forms back, over 200 seeded evenings", () => {
  for (let seed = 1; seed <= 200; seed++) {
    const random = mulberry(seed);
    let atMs = 0;
    const captions = Array.from({ length: 1 + Math.floor(random() * 20) }, (_, index) => {
      const fromMs = atMs + Math.floor(random() * 60_000);
      const untilMs = fromMs + 200 + Math.floor(random() * 600_000);
      atMs = untilMs;
      return { fromMs, untilMs, words: `Line ${index}\nof ${Math.floor(random() * 1e6)} lamps` };
    });
    for (const text of [webVtt(captions), subRip(captions)])
      expect(
        parse(text).entries.map(({ from, to, text: words }) => ({ fromMs: from, untilMs: to, words })),
        `seed ${seed}`,
      ).toEqual(captions);
  }
});
