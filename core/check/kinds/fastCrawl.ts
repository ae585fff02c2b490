import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import { NO_ADJUSTMENT } from "../../scene/adjustment.ts";
import { allObjects } from "../../scene/template.ts";
import type { Check } from "../check.ts";
import { changing } from "../mend.ts";
import { objectKindOf } from "../objectKindOf.ts";

const finding = defineFinding<{ readonly rate: number; readonly limit: number }>(
  "fastCrawl",
  "warning",
  ({ rate, limit }) => t`It goes by at ${rate} words a minute; ${limit} is as fast as people read.`,
);

/** A crawl or roll that goes by faster than people read. Source: BBC subtitle guidelines (from memory). */
export const fastCrawl: Check = {
  code: finding.code,
  name: t`Crawls too fast to read`,
  page: ({ page, limits: { crawlWordsPerMinute } }) =>
    page.crawls.flatMap(({ objectId, field, box, wordsPerMinute }) => {
      const rate = Math.round(wordsPerMinute);
      if (rate <= crawlWordsPerMinute) return [];
      const { cueId, revision, doc } = page.cue;
      const name = objectKindOf(page.template, objectId)?.field ?? `#${objectId}`;
      const object = allObjects(page.template).find(({ object: each }) => each.id === objectId)?.object;
      const own = doc.adjust[name] ?? NO_ADJUSTMENT;
      const speed = own.speed ?? (object?.kind === "crawl" ? object.speed : null);
      const slower = speed && slowed(speed, (crawlWordsPerMinute / wordsPerMinute) * 0.98);
      return [
        {
          finding: finding(cueSubject(cueId), { rate, limit: crawlWordsPerMinute }, field ?? objectId),
          ...{ cueId, step: page.anchor, outputId: page.output.id, rect: box, amount: rate },
          mends: slower
            ? [
                changing({ cueId, revision, doc }, t`Let it go slower`, {
                  adjust: { ...doc.adjust, [name]: { ...own, speed: slower } },
                }),
              ]
            : [],
        },
      ];
    }),
};

type Speed = NonNullable<(typeof NO_ADJUSTMENT)["speed"]>;

/** The same speed times a share. */
function slowed(speed: Speed, share: number): Speed {
  const twoPlaces = (value: number) => Math.max(0.01, Math.floor(value * 100) / 100);
  switch (speed.kind) {
    case "pxPerFrame":
    case "pxPerSecond":
      return { ...speed, px: twoPlaces(speed.px * share) };
    case "passSeconds":
      return { ...speed, seconds: Math.ceil(speed.seconds / share) };
  }
}
