import type { DeskOutfit } from "../../desk/outfit.ts";
import { fieldClass, Labelled } from "../../ui/Labelled.tsx";
import { editorId } from "./editorId.ts";

/** Which template a cue wears, where an outfit offers several; nothing where none does. */
export function TemplateLine({
  cueId,
  fieldSet,
  template,
  outfits,
  onChange,
}: {
  cueId: string;
  fieldSet: string;
  template: string | null;
  outfits: readonly DeskOutfit[];
  onChange: (template: string | null) => void;
}) {
  const id = `${editorId(cueId)}-template`;
  const offered = outfits.flatMap(({ name: outfit, templates }) => {
    const all = templates[fieldSet] ?? [];
    return all.length > 1 ? all.map((one) => ({ outfit, ...one })) : [];
  });
  if (offered.length === 0) return null;
  // Cues of before say a name, which is a template's too.
  const chosen = offered.find(({ key }) => key === template) ?? offered.find(({ name }) => name === template);
  return (
    <Labelled id={id} label="Template">
      <select
        id={id}
        value={chosen?.key ?? ""}
        onChange={({ target }) => onChange(target.value === "" ? null : target.value)}
        className={`${fieldClass} max-w-md text-[16px]`}
      >
        <option value="">The outfit’s own</option>
        {offered.map(({ outfit, key, name }) => (
          <option key={`${outfit}/${key}`} value={key}>
            {name} ({outfit})
          </option>
        ))}
      </select>
    </Labelled>
  );
}
