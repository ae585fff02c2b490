import { carryEditSchema } from "../../core/carry/carryView.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/carryEdit.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

/** Begins, ends and goes on with what is done with show files and copies. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, carryEditSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { carry } = getServices(context);
  const edit = body.value;
  switch (edit.kind) {
    case "start":
      return tellStarted(carry.start(edit.wanted));
    case "bring":
      return tellStarted(carry.bring(edit.id, edit.choices, edit.actor));
    case "open":
      return tellStarted(carry.open(edit.id, edit.actor));
    case "cancel":
      carry.cancel(edit.id);
      return answer("/carry-edit", {});
    case "forget":
      carry.forget(edit.id);
      return answer("/carry-edit", {});
  }
}

const tellStarted = (started: { readonly id: string } | { readonly problem: string }) =>
  "problem" in started ? refuse(started.problem) : answer("/carry-edit", started);
