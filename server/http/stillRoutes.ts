import type { Request, Response } from "express";
import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { screenOfRemote } from "../../core/remote/remoteLink.ts";
import { hashSchema } from "../../core/rundown/content.ts";
import { stepsOf, valuesAt } from "../../core/rundown/steps.ts";
import type { ShownPage } from "../../core/show/slot.ts";
import { withValuesOf } from "../../core/values/liveChain.ts";
import { canvasOf } from "../../core/venue/plan.ts";
import type { Services } from "../services/services.ts";
import type { StillPage } from "../stills/stillJob.ts";
import { pinnedBy } from "../store/pinnedBy.ts";
import type { Doors } from "./doors.ts";
import { sayPlainly } from "./plainPage.ts";

const idSchema = z.string().min(1).max(60);
const wantedSchema = z.strictObject({
  cue: idSchema,
  output: idSchema,
  /** The very content, for a picture that may be kept for good; without it, the cue as it stands now. */
  content: hashSchema.optional(),
  occurrence: z.string().max(80).optional(),
  unit: z.coerce.number().int().min(0).max(10_000).default(0),
  /** What else lies on the screen then, as JSON: a step of the walk through the evening, for desks. */
  also: z.string().max(12_000).optional(),
  /** What it wears, for desks; without it, what the plan that is in use says. */
  outfit: idSchema.optional(),
  /** The minute in which it is asked for, so that a browser asks anew for what shows the time. */
  minute: z.coerce.number().int().optional(),
  /** Another for other values, so that a browser asks anew for a page that feeds fill. */
  values: z.string().max(20).optional(),
  /** The same for another size of the screen. */
  screen: z.string().max(20).optional(),
  /** Since the page came, ms; without it, at rest. */
  t: z.coerce.number().min(0).max(3_600_000).optional(),
  /** When it leaves, since it came, ms. */
  leaves: z.coerce.number().min(0).max(3_600_000).optional(),
  /** Server time at which it came, for what shows the time: for frames of one life. */
  came: z.coerce.number().min(0).optional(),
  /** Of a part of a wall, the wall it is part of. */
  of: z.enum(["screen", "wall"]).default("screen"),
  width: z.coerce.number().int().min(16).max(7_680).optional(),
  signal: z.enum(["picture", "fill", "key"]).default("picture"),
});

/** Pages that lie over each other on one screen. */
const alsoSchema = z
  .array(
    z.strictObject({
      cue: idSchema,
      content: hashSchema,
      occurrence: z.string().max(80),
      unit: z.number().int().min(0).max(10_000),
    }),
  )
  .max(20);

/** Stills that may be waited for at once: from all desks together, and from one link. */
const MOST_OPEN = { desk: 400, link: 4 };

/**
 * Any page at any time as PNG with alpha: `GET /still/TOKEN?cue=…&output=…`. The token is an output's (then of that output only),
 * or of those who watch; both see only what is on air or comes next. "desk" stands for a desk that is let in already.
 */
export function addStillRoutes(doors: Doors, services: Services): void {
  const send = async (request: Request, response: Response, token: string | null): Promise<void> => {
    const tell = (status: number, sentence: string) => sayPlainly(response, status, sentence);
    const wanted = wantedSchema.safeParse(request.query);
    if (!wanted.success) return tell(400, t`A still needs the names of a cue and an output.`);
    const link = token === null ? undefined : services.links.find(token);
    const isDesk = token === null || link?.kind === "desk" || link?.kind === "here";
    const isWholeWall = wanted.data.of === "wall";
    const { cue: cueId, content: hash, occurrence, unit, t: atMs, leaves, came, signal } = wanted.data;
    const output = services.screens.outputs.find(({ id }) => id === wanted.data.output);
    const own =
      link?.kind === "output"
        ? link.outputId
        : link?.kind === "remote"
          ? screenOfRemote(link.doc, services.screens.outputs)?.id
          : undefined;
    if (!output || (own !== undefined && output.id !== own))
      return tell(404, t`No output has that name, or this link is for another.`);
    const cue = services.rundown.ready().find((candidate) => candidate.cueId === cueId);
    const contentHash = hash ?? cue?.hash;
    // What was shown long ago is on the disk only.
    if (isDesk && hash !== undefined && !services.contents.find(hash)) await fetchContent(services, hash);
    const content = contentHash === undefined ? undefined : services.contents.find(contentHash);
    if (contentHash === undefined || content?.kind !== "page")
      return tell(404, t`That cue is not in the rundown, or has no words yet.`);
    if (!isDesk && !services.live.contentsInSight().has(contentHash))
      return tell(403, t`This link shows what is on air and what comes next, and nothing else.`);
    const { also, outfit } = wanted.data;
    if (!isDesk && (also !== undefined || outfit !== undefined))
      return tell(403, t`This link shows what is on air and what comes next, and nothing else.`);
    const others = also === undefined ? [] : readAlso(also);
    if (!others) return tell(400, t`What else lies on the screen was not understood.`);
    const outfitId = outfit ?? services.host.state.plan.outputs[output.id]?.outfitId;
    const first = stepsOf(content)[0]?.anchor;
    const step = occurrence === undefined ? first : { occurrence, unit };
    const outfitIds = outfitId ? [outfitId, ...(content.variants[outfitId] ?? [])] : [];
    if (!outfitId || !step || !outfitIds.some((id) => valuesAt(content, id, step)))
      return tell(404, t`That step is not in the cue.`);
    const ownWidthPx = (isWholeWall ? canvasOf(output) : output).widthPx;
    const widthPx = wanted.data.width ?? ownWidthPx;
    if (!isDesk && widthPx > ownWidthPx)
      return tell(403, t`This link asks for at most ${ownWidthPx} pixels across.`);
    const asked = new AbortController();
    response.once("close", () => asked.abort());
    const pages = pagesOf([{ cueId, content: contentHash, step }, ...others], services);
    const still = await services.stills.paint(
      {
        pages,
        outfitId,
        output,
        isWholeWall,
        timeZone: services.host.state.timeZone,
        atMs: atMs ?? null,
        leavesAfterMs: leaves ?? null,
        cameAtMs: came ?? null,
        widthPx,
        signal,
      },
      {
        name: isDesk ? "desk" : (token ?? ""),
        mostOpen: isDesk ? MOST_OPEN.desk : MOST_OPEN.link,
        signal: asked.signal,
      },
    );
    if (response.destroyed) return;
    if ("refused" in still) {
      const status = { tooLarge: 413, tooMany: 429, unknown: 404, failed: 503 }[still.refused];
      return tell(status, still.sentence);
    }
    const kept = still.showsTime ? "private, max-age=60" : "private, max-age=31536000, immutable";
    const isFilled = pages.some(({ page }) => {
      const own = services.contents.find(page.content);
      return own?.kind === "page" && own.live !== undefined;
    });
    response.setHeader("Cache-Control", hash && !isFilled ? kept : "no-store");
    response.type("image/png").send(Buffer.from(still.png));
  };

  doors.get("desk", "/still/desk", (request, response) => send(request, response, null));
  doors.get("link", "/still/:token", (request, response) =>
    send(request, response, String(request.params.token)),
  );
}

function readAlso(text: string): ShownPage[] | undefined {
  let told: unknown;
  try {
    told = JSON.parse(text);
  } catch {
    return undefined;
  }
  return alsoSchema
    .safeParse(told)
    .data?.map(({ cue, content, occurrence, unit }) => ({ cueId: cue, content, step: { occurrence, unit } }));
}

/** Pages on their layers, from the back to the front, with what fills them; those of which nothing is known are left out. */
function pagesOf(pages: readonly ShownPage[], { contents, host, values }: Services): StillPage[] {
  const order = host.state.layers.map(({ id }) => id);
  return pages
    .flatMap((page): StillPage[] => {
      const content = contents.find(page.content);
      return content?.kind === "page"
        ? [{ page: withValuesOf(page, values.values), layerId: content.layerId }]
        : [];
    })
    .sort((a, b) => order.indexOf(a.layerId) - order.indexOf(b.layerId));
}

async function fetchContent({ contents }: Services, hash: string): Promise<void> {
  const document = (await contents.read([hash])).get(hash);
  if (!document) return;
  await contents.load([hash]);
  await contents.load(pinnedBy(document));
}
