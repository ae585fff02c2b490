import type { PageDoc } from "../../core/rundown/cueDoc.ts";
import type { FieldDef } from "../../core/scene/fieldSet.ts";
import type { Cleaning } from "../../core/words/hygiene.ts";
import { FIELD_SETS } from "../../designs/fieldSets.ts";
import { useDesk } from "../desk/deskContext.ts";
import type { DeskOutfit } from "../desk/outfit.ts";
import { CleanedLine } from "../ui/CleanedLine.tsx";
import { NumberBox } from "../ui/NumberBox.tsx";
import { useCleanPaste } from "../ui/useCleanPaste.ts";
import { editorId } from "./editorId.ts";
import { fieldClass, Labelled } from "./Labelled.tsx";
import { MediaPicker } from "./MediaPicker.tsx";

/** A page's form, made from its fields: lines, texts, pictures; which look it wears; when it leaves. */
export function PageForm({
  cueId,
  doc,
  outfits,
  onType,
}: {
  cueId: string;
  doc: PageDoc;
  outfits: readonly DeskOutfit[];
  onType: (doc: PageDoc) => void;
}) {
  const fields = FIELD_SETS.find(({ id }) => id === doc.fieldSet)?.fields ?? [];
  const { state } = useDesk();
  const stayId = `${editorId(cueId)}-stay`;
  const looks = outfits.flatMap(({ name, looks: byFieldSet }) => {
    const offered = byFieldSet[doc.fieldSet] ?? [];
    return offered.length > 1 ? offered.map((look) => ({ outfit: name, look })) : [];
  });
  return (
    <>
      {fields.map((field, index) => {
        const id = index === 0 ? editorId(cueId) : `${editorId(cueId)}-${field.name}`;
        return (
          <Labelled key={field.name} id={id} label={field.label}>
            <Field
              id={id}
              field={field}
              isFirst={index === 0}
              value={doc.values[field.name] ?? ""}
              onChange={(value) => onType({ ...doc, values: { ...doc.values, [field.name]: value } })}
            />
          </Labelled>
        );
      })}
      {looks.length > 0 && (
        <Labelled id={`${editorId(cueId)}-look`} label="Template">
          <select
            id={`${editorId(cueId)}-look`}
            value={doc.look ?? ""}
            onChange={(event) =>
              onType({ ...doc, look: event.target.value === "" ? null : event.target.value })
            }
            className={`${fieldClass} max-w-md text-[16px]`}
          >
            <option value="">The outfit’s own</option>
            {looks.map(({ outfit, look }) => (
              <option key={`${outfit}/${look}`} value={look}>
                {look} ({outfit})
              </option>
            ))}
          </select>
        </Labelled>
      )}
      <div className="flex flex-wrap items-center gap-2.5 text-[15px]">
        <label htmlFor={`${stayId}-layer`} className="text-second">
          On the layer
        </label>
        <select
          id={`${stayId}-layer`}
          value={doc.layerId ?? ""}
          onChange={({ target }) => onType({ ...doc, layerId: target.value === "" ? null : target.value })}
          className="mr-4 min-h-10 rounded-md border border-edge-strong bg-ground px-2"
        >
          <option value="">its usual one</option>
          {state.layers.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <label htmlFor={stayId} className="text-second">
          Leaves by itself after
        </label>
        <NumberBox
          id={stayId}
          value={doc.stayMs === null ? null : doc.stayMs / 1_000}
          min={0.5}
          max={3_600}
          step={0.5}
          onSave={(seconds) => onType({ ...doc, stayMs: Math.round(seconds * 1_000) })}
          onClear={() => onType({ ...doc, stayMs: null })}
          className="w-16"
        />
        <span className="text-second">s</span>
      </div>
    </>
  );
}

function Field({
  id,
  field,
  isFirst,
  value,
  onChange,
}: {
  id: string;
  field: FieldDef;
  isFirst: boolean;
  value: string;
  onChange: (value: string) => void;
}) {
  switch (field.kind) {
    case "media":
      return (
        <MediaPicker
          id={id}
          type={field.name === "clip" ? "video" : "picture"}
          value={value}
          onChange={onChange}
        />
      );
    case "lines":
    case "line":
    case "color":
      return <WordsField id={id} field={field} isFirst={isFirst} value={value} onChange={onChange} />;
  }
}

/** In a table tabs and dashes part cells; names in capitals are not ours to change. */
const KEPT: readonly Cleaning[] = ["capitals", "chords"];
const KEPT_IN_ROWS: readonly Cleaning[] = [...KEPT, "spaces", "dashes"];

function WordsField({ id, field, isFirst, value, onChange }: Parameters<typeof Field>[0]) {
  const paste = useCleanPaste(value, onChange, () => (field.name === "rows" ? KEPT_IN_ROWS : KEPT));
  const box = {
    id,
    "data-field": field.name,
    dir: "auto",
    value,
    placeholder: field.hint,
    maxLength: field.maxLength,
    spellCheck: true,
    onPaste: paste.onPaste,
  } as const;
  return (
    <>
      {field.kind === "lines" ? (
        <textarea
          {...box}
          rows={Math.min(10, Math.max(3, value.split("\n").length + 1))}
          onChange={(event) => onChange(event.target.value)}
          className={`${fieldClass} resize-y py-2 leading-normal ${isFirst ? "font-words text-[18px]" : "text-[16px]"}`}
        />
      ) : (
        <input
          {...box}
          onChange={(event) => onChange(event.target.value)}
          className={`${fieldClass} ${isFirst ? "font-words text-[20px]" : "text-[16px]"}`}
        />
      )}
      <CleanedLine cleaned={paste.cleaned} />
    </>
  );
}
