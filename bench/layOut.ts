import { FALLBACK_FONTS } from "../core/text/fontList.ts";
import { layOutText } from "../core/text/layOutText.ts";
import { prepareText } from "../core/text/prepare.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { distributionOf, printRow } from "./distribution.ts";

/** 400 characters of a reading. */
export const PASSAGE =
  "Those who go down to the sea in ships, who do business in great waters, these see Yahweh’s deeds, and his wonders in the deep. For he commands, and raises the stormy wind, which lifts up its waves. They mount up to the sky; they go down again to the depths. Their soul melts away because of trouble. They reel back and forth, and stagger like a drunken man, and are at their wits’ end. Then they cry to Yahweh.".slice(
    0,
    400,
  );

/** The same words from another of them on, so that no text was met before. */
export function passageFor(nth: number): string {
  const words = PASSAGE.split(" ");
  const at = nth % words.length;
  return [`${nth}`, ...words.slice(at), ...words.slice(0, at)].join(" ").slice(0, 400);
}

/** A 400-character passage fitted into a full-frame box; against it, the naive way in the same run: shaping each size tried. */
export async function benchLayOut(): Promise<void> {
  const shaper = await loadShaper();
  const request = {
    widthPx: 1500,
    heightPx: 700,
    minSizePx: 30,
    maxSizePx: 120,
    leading: 1.35,
    keepLinesAbovePx: null,
    balance: true,
    paragraphGap: 0,
    fonts: FALLBACK_FONTS,
    mode: "fit" as const,
    condenseTo: 1,
  };
  let nth = 0;
  const time = (work: (text: string) => void, count: number) => {
    for (let i = 0; i < Math.ceil(count / 3); i++) work(passageFor(nth++));
    return distributionOf(
      Array.from({ length: count }, () => {
        const text = passageFor(nth++);
        const from = performance.now();
        work(text);
        return performance.now() - from;
      }),
    );
  };
  const fitted = time((text) => layOutText(text, request, shaper), 600);
  printRow("lay out 400 characters with fit", "ms", fitted, "under 1.2 after warm-up");
  const naive = time((text) => {
    for (let tried = 0; tried < 9; tried++) prepareText(text, FALLBACK_FONTS, shaper);
  }, 60);
  printRow("the same, shaping again for each of 9 sizes tried", "ms", naive, "");
  console.log(
    `| ratio naive / ours, medians | × |  | ${(naive.median / fitted.median).toFixed(1)} |  |  |  |  |`,
  );
}
