import { z } from "zod";
import { feedIdSchema } from "../../core/feeds/feed.ts";
import { t } from "../../core/language/t.ts";
import { problemOf } from "../../core/wire/problem.ts";
import type { Services } from "../services/services.ts";
import { readBody } from "./bodies.ts";
import type { Doors } from "./doors.ts";

const wantedSchema = z.strictObject({ id: feedIdSchema, fileName: z.string().min(1).max(200) });

/** Files that are brought for a feed. Only the desk reaches this. */
export function addFeedRoutes(doors: Doors, services: Services): void {
  doors.post("desk", "/files/feed", "application/octet-stream", async (request, response) => {
    const wanted = wantedSchema.safeParse(request.query);
    if (!wanted.success)
      return void response
        .status(400)
        .json(problemOf("notUnderstood", t`No file came with that. Nothing was brought in.`));
    const { id, fileName } = wanted.data;
    const problem = await services.feeds.upload(id, fileName, await readBody(request, "feed"));
    if (problem === undefined) response.json({});
    else response.status(409).json(problemOf("refused", problem));
  });
}
