import { problemOf } from "../../core/wire/problem.ts";
import type { Services } from "../services/services.ts";
import { readBody } from "./bodies.ts";
import type { Doors } from "./doors.ts";

/** What the file beside a clip says. It is only read: the desk saves what it makes of it. Only the desk reaches this. */
export function addClipRoutes(doors: Doors, { aside }: Services): void {
  doors.post("desk", "/files/clip-details", "application/octet-stream", async (request, response) => {
    const bytes = await readBody(request, "clipDetails");
    const read = await aside.run("readClipDetails", { bytes });
    if ("elements" in read) response.json(read);
    else response.status(409).json(problemOf("refused", read.problem));
  });
}
