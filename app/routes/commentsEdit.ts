import { z } from "zod";
import { commentSettingsSchema, PICKED_FEED_ID } from "../../core/comments/comment.ts";
import { t } from "../../core/language/t.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { DESK_HEADER, getServices } from "../services.server.ts";
import type { Route } from "./+types/commentsEdit.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const id = z.string().min(1).max(64);
const actor = z.string().min(1).max(80);
const editSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("pick"), id, actor }),
  z.strictObject({ kind: z.literal("unpick"), id, actor }),
  z.strictObject({ kind: z.literal("holdBack"), id, isOn: z.boolean(), actor }),
  z.strictObject({ kind: z.literal("mark"), id, isOn: z.boolean(), actor }),
  z.strictObject({ kind: z.literal("paste"), text: z.string().min(1).max(200_000) }),
  z.strictObject({ kind: z.literal("settings"), settings: commentSettingsSchema }),
]);

/** Comments are picked, held back, marked and pasted; where they come from and what is struck out of them is changed. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, editSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { comments, live } = getServices(context);
  const edit = body.value;
  const handOf = (of: string) => ({ id: of, name: live.deskNameOf(request.headers.get(DESK_HEADER)) });
  const problem = await (async () => {
    switch (edit.kind) {
      case "pick":
        return sentenceOf(await comments.pick(edit.id, handOf(edit.actor)));
      case "unpick":
        return sentenceOf(await comments.unpick(edit.id, handOf(edit.actor)));
      case "holdBack":
        return comments.set(edit.id, { isHeldBack: edit.isOn }, handOf(edit.actor));
      case "mark":
        return comments.set(edit.id, { isMarked: edit.isOn }, handOf(edit.actor));
      case "paste":
        return (await comments.paste(edit.text)) === 0
          ? t`Nothing new stands in that. Nothing was added.`
          : undefined;
      case "settings":
        if (edit.settings.source?.feedId === PICKED_FEED_ID)
          return t`Picked comments cannot be where comments come from. Nothing was changed.`;
        return comments.saveSettings(edit.settings);
    }
  })();
  return problem === undefined ? answer("/comments-edit", {}) : refuse(problem);
}

const sentenceOf = (outcome: { readonly kind: string; readonly sentence?: string }): string | undefined =>
  outcome.sentence;
