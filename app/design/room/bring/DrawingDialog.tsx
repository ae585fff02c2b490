import { withDrawing } from "../../../../core/design/edit/svgShapes.ts";
import { t } from "../../../../core/language/t.ts";
import type { Template } from "../../../../core/scene/template.ts";
import { useDeskStore } from "../../../desk/deskContext.ts";
import { actButton, BringDialog, plainButton } from "./BringDialog.tsx";
import type { CleanSvg } from "./readSvg.ts";

/** Shares of the canvas that a drawing takes, in its middle. */
const SIDE = 0.5;

/** Whether a drawing comes as shapes that can be changed here, or as a picture. */
export function DrawingDialog({
  svg: { drawing, name, address },
  template,
  onClose,
  onPicture,
  onMade,
}: {
  svg: CleanSvg;
  template: Template;
  onClose: () => void;
  onPicture: () => void;
  onMade: (made: { readonly template: Template; readonly id: string }) => void;
}) {
  const store = useDeskStore();
  const hasShapes = "shapes" in drawing;
  const { widthPx, heightPx } = template.canvas;
  const takeShapes = () => {
    if (!hasShapes) return;
    const made = withDrawing(template, drawing, name, {
      x: (widthPx * (1 - SIDE)) / 2,
      y: (heightPx * (1 - SIDE)) / 2,
      width: widthPx * SIDE,
      height: heightPx * SIDE,
    });
    if ("problem" in made) store.say("trouble", made.problem);
    else onMade(made);
  };
  return (
    <BringDialog title={name} facts={factsOf(drawing)} onClose={onClose}>
      <div className="chequered mx-auto shrink-0 overflow-hidden rounded-md p-3">
        <img src={address} alt="" className="max-h-[40vh] min-h-24 max-w-full" />
      </div>
      <div className="flex flex-wrap justify-end gap-2">
        <button type="button" onClick={onClose} className={plainButton}>
          {t`Cancel`}
        </button>
        <button type="button" onClick={onPicture} className={plainButton}>
          {t`As a picture`}
        </button>
        <button type="button" disabled={!hasShapes} onClick={takeShapes} className={actButton}>
          {t`As shapes`}
        </button>
      </div>
    </BringDialog>
  );
}

function factsOf(drawing: CleanSvg["drawing"]): string {
  if ("problem" in drawing) return drawing.problem;
  const { shapes, leftOut } = drawing;
  const count = `${shapes.length} ${shapes.length === 1 ? t`shape` : t`shapes`}.`;
  return leftOut.length > 0
    ? t`${count} As shapes it comes without ${leftOut.join(", ")}. As a picture it comes as it is seen below.`
    : count;
}
