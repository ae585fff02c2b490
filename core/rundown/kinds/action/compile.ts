import { t } from "../../../language/t.ts";
import type { Compiled } from "../../compileContext.ts";
import type { ActionDoc } from "./doc.ts";

export function compileAction({ title, clear, shutter }: ActionDoc): Compiled {
  return {
    content: {
      kind: "page",
      cueKind: "action",
      title: title.trim() || actionTitle(clear, shutter),
      fieldSet: "",
      layerId: "",
      values: {},
      flow: null,
      pointsField: "",
      points: null,
      wardrobe: {},
      endPage: null,
      opacity: 1,
      adjust: {},
      whole: null,
      effectMs: null,
      stageNote: "",
      action: { clear, shutter },
      stayMs: null,
      leavesAtZeroOf: "",
      plan: null,
      stepPlans: [],
      only: null,
      stepsBy: null,
      variants: {},
      lastsMs: 0,
      media: [],
    },
  };
}

function actionTitle(clear: readonly string[], shutter: ActionDoc["shutter"]): string {
  if (shutter === "black") return t`To black`;
  if (shutter === "standBy") return t`To the stand-by`;
  if (shutter === "back") return t`The picture again`;
  return clear.length > 0 ? t`Layers out` : "Wait";
}
