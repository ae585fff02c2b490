import { ImagePlus } from "lucide-react";
import { useState } from "react";
import { useRevalidator } from "react-router";
import { t } from "../../../../core/language/t.ts";
import type { FieldDef } from "../../../../core/scene/fieldSet.ts";
import type { Template } from "../../../../core/scene/template.ts";
import { useDeskStore } from "../../../desk/deskContext.ts";
import { bringIn } from "../../../library/bringIn.ts";
import { type Bed, BedDialog } from "./BedDialog.tsx";
import { DrawingDialog } from "./DrawingDialog.tsx";
import { freeAreaOf } from "./freeAreaOf.ts";
import { type CleanSvg, pictureOfSvg, readSvg } from "./readSvg.ts";

/** Brings a picture or a drawing from a file onto the canvas, and asks how it is to lie there. */
export function BringIn({
  template,
  fields,
  onEdit,
}: {
  /** As it is seen: in its shape. */
  template: Template;
  /** Fields of words that nothing shows yet. */
  fields: readonly FieldDef[];
  onEdit: (label: string, made: Template, chosenId: string) => void;
}) {
  const store = useDeskStore();
  const { revalidate } = useRevalidator();
  const [isBusy, setBusy] = useState(false);
  const [came, setCame] = useState<Bed | CleanSvg | null>(null);

  const takePicture = async (file: File) => {
    const brought = await bringIn(file, () => {});
    if ("problem" in brought) return store.say("trouble", brought.problem.sentence);
    const { item } = brought.value;
    if (item?.info.type !== "picture")
      return store.say(
        "trouble",
        t`“${file.name}” is no picture. It is in the library now; the template is as it was.`,
      );
    // What the canvas shows of it is asked of the library.
    await revalidate();
    setCame({ kind: "picture", hash: item.hash, info: item.info, area: await freeAreaOf(file) });
  };
  const take = async (file: File) => {
    setBusy(true);
    try {
      if (file.type !== "image/svg+xml" && !/\.svg$/i.test(file.name)) return await takePicture(file);
      const read = await readSvg(file);
      if ("problem" in read) store.say("trouble", read.problem);
      else setCame(read);
    } finally {
      setBusy(false);
    }
  };
  const takeAsPicture = async (svg: CleanSvg) => {
    setCame(null);
    setBusy(true);
    const file = await pictureOfSvg(svg, template.canvas.widthPx);
    if (file) await takePicture(file);
    else store.say("trouble", t`“${svg.name}” cannot be drawn as a picture. Nothing was changed.`);
    setBusy(false);
  };
  const made = (name: string) => (done: { readonly template: Template; readonly id: string }) => {
    setCame(null);
    onEdit(t`Import ${name}`.slice(0, 120), done.template, done.id);
  };
  return (
    <>
      <label
        aria-busy={isBusy}
        title={t`A PNG as the bed of the page, a picture, or an SVG drawing`}
        className="flex min-h-9 cursor-pointer items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] focus-within:outline-2 focus-within:outline-act hover:bg-edge"
      >
        <ImagePlus aria-hidden="true" className="size-4.5" />
        {isBusy ? t`Reading…` : t`Import`}
        <input
          type="file"
          accept="image/png,image/jpeg,image/webp,image/avif,image/svg+xml,.svg"
          disabled={isBusy}
          className="sr-only"
          onChange={({ target }) => {
            const file = target.files?.[0];
            target.value = "";
            if (file) void take(file);
          }}
        />
      </label>
      {came?.kind === "picture" && (
        <BedDialog
          bed={came}
          template={template}
          fields={fields}
          onClose={() => setCame(null)}
          onMade={made(came.info.name)}
        />
      )}
      {came?.kind === "svg" && (
        <DrawingDialog
          svg={came}
          template={template}
          onClose={() => setCame(null)}
          onPicture={() => void takeAsPicture(came)}
          onMade={made(came.name)}
        />
      )}
    </>
  );
}
