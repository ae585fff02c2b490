import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { nameSchema } from "../../core/names/name.ts";
import { problemOf } from "../../core/wire/problem.ts";
import { bringDesign } from "../host/bringDesign.ts";
import { designToPack } from "../host/exportDesign.ts";
import type { Services } from "../services/services.ts";
import { docOf } from "../store/designStore.ts";
import { bodyParts } from "./bodies.ts";
import type { Doors } from "./doors.ts";
import { sayPlainly } from "./plainPage.ts";
import { runWhileAsked } from "./runWhileAsked.ts";

const wantedSchema = z.strictObject({
  outfit: z.string().max(60).default(""),
  replaces: z.string().max(200).optional(),
  actor: z.string().min(1).max(80),
});
const namedSchema = z.strictObject({ kind: z.enum(["template", "style"]), id: nameSchema(80) });

/** Templates and house styles as files, in and out. Only the desk reaches these. */
export function addDesignRoutes(doors: Doors, services: Services): void {
  doors.post("desk", "/files/design", "application/octet-stream", async (request, response) => {
    const wanted = wantedSchema.safeParse(request.query);
    if (!wanted.success)
      return void response
        .status(400)
        .json(problemOf("notUnderstood", t`Who imports it was not said. Load this page again.`));
    const { outfit: outfitId, replaces = null, actor } = wanted.data;
    const file = await services.media.incoming.receive(bodyParts(request, "design"));
    await runWhileAsked(response, (signal) =>
      bringDesign(services, { file, outfitId, replaces, actor }, signal),
    );
  });
  doors.get("desk", "/files/design/:kind/:id", async (request, response) => {
    const named = namedSchema.safeParse(request.params);
    if (!named.success) return sayPlainly(response, 404, t`There is nothing of that name to export.`);
    const { kind, id } = named.data;
    const wanted = designToPack(services, kind, id);
    if ("problem" in wanted) return sayPlainly(response, 404, wanted.problem);
    const design = services.designs.find(kind, id);
    const packed = await services.aside.run("packDesign", wanted);
    response.setHeader("Cache-Control", "no-store");
    response.attachment(`${fileName(design ? docOf(design).name : kind)}.${kind}.zip`);
    response.type("application/zip").send(Buffer.from(packed));
  });
}

const fileName = (name: string): string =>
  name
    .normalize("NFC")
    .replace(/[^\p{L}\p{N}]+/gu, "-")
    .toLowerCase()
    .slice(0, 80);
