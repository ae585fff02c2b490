import type { Express, NextFunction, Request, RequestHandler, Response } from "express";
import { z } from "zod";
import { hashSchema } from "../../core/rundown/content.ts";
import { stepsOf, valuesAt } from "../../core/rundown/steps.ts";
import { canvasOf } from "../../core/screens/plan.ts";
import type { Services } from "../services.ts";

const idSchema = z.string().min(1).max(60);
const wantedSchema = z.strictObject({
  cue: idSchema,
  output: idSchema,
  /** The very content, for a picture that may be kept for good; without it, the cue as it stands now. */
  content: hashSchema.optional(),
  occurrence: z.string().max(80).optional(),
  unit: z.coerce.number().int().min(0).max(10_000).default(0),
  /** Since the page came, ms; without it, at rest. */
  t: z.coerce.number().min(0).max(3_600_000).optional(),
  /** Of a part of a wall, the wall it is part of. */
  of: z.enum(["screen", "wall"]).default("screen"),
  width: z.coerce.number().int().min(16).max(7_680).optional(),
  signal: z.enum(["picture", "fill", "key"]).default("picture"),
});

/**
 * Any page at any time as PNG with alpha: `GET /still/TOKEN?cue=…&output=…`. The token is the desk's or an output's
 * (then of that output only); "desk" stands for a desk that is let in already.
 */
export function addStillRoutes(app: Express, services: Services, deskGuard: RequestHandler): void {
  const tell = (response: Response, status: number, sentence: string) =>
    void response.status(status).type("text").send(sentence);

  const send = async (request: Request, response: Response, onlyOutput: string | null): Promise<void> => {
    const wanted = wantedSchema.safeParse(request.query);
    if (!wanted.success) return tell(response, 400, "A still needs the names of a cue and an output.");
    const isWholeWall = wanted.data.of === "wall";
    const { cue: cueId, content: hash, occurrence, unit, t, signal } = wanted.data;
    const output = services.screens.outputs.find(({ id }) => id === wanted.data.output);
    if (!output || (onlyOutput !== null && output.id !== onlyOutput))
      return tell(response, 404, "No output has that name, or this link is for another.");
    const cue = services.rundown.ready().find((candidate) => candidate.cueId === cueId);
    const contentHash = hash ?? cue?.hash;
    const content = contentHash === undefined ? undefined : services.contents.find(contentHash);
    if (contentHash === undefined || content?.kind !== "page")
      return tell(response, 404, "That cue is not in the rundown, or has no words yet.");
    const outfitId = services.host.state.plan.outputs[output.id]?.outfitId;
    const first = stepsOf(content)[0]?.anchor;
    const step = occurrence === undefined ? first : { occurrence, unit };
    if (!outfitId || !step || !valuesAt(content, outfitId, step))
      return tell(response, 404, "That step is not in the cue.");
    try {
      const png = await services.stills.paint({
        page: { cueId, content: contentHash, step },
        layerId: content.layerId,
        outfitId,
        output,
        isWholeWall,
        timeZone: services.host.state.timeZone,
        atMs: t ?? null,
        widthPx: wanted.data.width ?? (isWholeWall ? canvasOf(output) : output).widthPx,
        signal,
      });
      response.setHeader("Cache-Control", hash ? "private, max-age=31536000, immutable" : "no-store");
      response.type("image/png").send(Buffer.from(png));
    } catch (error) {
      console.error(error);
      tell(response, 503, "The still could not be painted. Nothing else is touched; ask again.");
    }
  };

  app.get("/still/desk", deskGuard, (request, response, next: NextFunction) => {
    send(request, response, null).catch(next);
  });
  app.get("/still/:token", (request, response, next: NextFunction) => {
    const link = services.links.find(String(request.params.token));
    if (!link) return tell(response, 404, "This link is not valid.");
    send(request, response, link.kind === "output" ? link.outputId : null).catch(next);
  });
}
