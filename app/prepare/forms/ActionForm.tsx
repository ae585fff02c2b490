import { t } from "../../../core/language/t.ts";
import type { ActionDoc } from "../../../core/rundown/cueDoc.ts";
import { useDesk } from "../../desk/deskContext.ts";
import { fieldClass, Labelled } from "../../ui/Labelled.tsx";
import { editorId } from "./editorId.ts";

/** A press that brings no page: what it takes off, and what the screens show meanwhile. With nothing chosen it only waits. */
export function ActionForm({
  cueId,
  doc,
  onType,
}: {
  cueId: string;
  doc: ActionDoc;
  onType: (doc: ActionDoc) => void;
}) {
  const { state } = useDesk("state");
  const toggle = (id: string) =>
    onType({
      ...doc,
      clear: doc.clear.includes(id) ? doc.clear.filter((other) => other !== id) : [...doc.clear, id],
    });
  return (
    <div className="flex flex-col gap-3">
      <Labelled id={editorId(cueId)} label={t`What the script calls it`}>
        <input
          id={editorId(cueId)}
          value={doc.title}
          maxLength={200}
          placeholder={t`Wait`}
          onChange={({ target }) => onType({ ...doc, title: target.value })}
          className={`${fieldClass} text-[18px]`}
        />
      </Labelled>
      <fieldset className="flex flex-wrap items-center gap-1.5 text-[15px]">
        <legend className="float-left mr-2.5 text-second">{t`Takes off`}</legend>
        {state.layers.map(({ id, name }) => (
          <button
            key={id}
            type="button"
            aria-pressed={doc.clear.includes(id)}
            onClick={() => toggle(id)}
            className="min-h-8 rounded border border-edge px-2.5 text-[14px] text-second aria-pressed:border-act aria-pressed:bg-act-ground aria-pressed:text-act"
          >
            {name}
          </button>
        ))}
      </fieldset>
      <p className="flex items-center gap-2.5 text-[15px] text-second">
        {t`All screens`}
        <select
          aria-label={t`What all screens show`}
          value={doc.shutter ?? ""}
          onChange={({ target }) =>
            onType({ ...doc, shutter: target.value === "" ? null : (target.value as ActionDoc["shutter"]) })
          }
          className="min-h-9 rounded-md border border-edge-strong bg-ground px-2 text-paper"
        >
          <option value="">{t`stay as they are`}</option>
          <option value="black">{t`go to black`}</option>
          <option value="standBy">{t`show their stand-by`}</option>
          <option value="back">{t`show their picture again`}</option>
        </select>
      </p>
    </div>
  );
}
