import { FileCode2, Trash2 } from "lucide-react";
import { CLIP_ENDS, type Clip, type ClipEnd } from "../../core/clips/clip.ts";
import { firstFields } from "../../core/clips/clipMapping.ts";
import { t } from "../../core/language/t.ts";
import { type ClipView, plainClip } from "../../core/wire/followView.ts";
import { newId } from "../api/newId.ts";
import { useSavesInOrder } from "../api/useSavesInOrder.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { formatLength } from "../ui/format.ts";
import { boxClass, fieldClass, Labelled } from "../ui/Labelled.tsx";
import { bringDetails } from "./bringDetails.ts";
import { editClips } from "./editClips.ts";
import { MappingForm } from "./MappingForm.tsx";

const AT_END: Readonly<Record<ClipEnd, string>> = {
  hold: t`it holds its last picture`,
  loop: t`it goes round and round`,
  next: t`the next one begins`,
};
const button = "flex min-h-9 w-fit items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge";
const NEW_MAPPING = "+";

/** One clip: what it is called, what it does at its end, and what the file beside it says. */
export function ClipDetails({ clip: told, fileOf }: { clip: ClipView; fileOf: (mediaId: string) => string }) {
  const store = useDeskStore();
  const { follow } = useDesk("follow");
  const [clip, save] = useSavesInOrder<Clip>(told.revision, plainClip(told), (doc, baseRevision) =>
    editClips(store, { kind: "saveClip", clip: doc, baseRevision }),
  );
  const mappings = follow?.mappings ?? [];
  const mapping = mappings.find(({ id }) => id === clip.mappingId);
  const hasElements = Object.keys(clip.elements).length > 0;
  const remove = async () => {
    const whole: Clip = clip;
    if (!(await editClips(store, { kind: "removeClip", id: clip.id }))) return;
    store.say("word", t`“${told.title}” was taken out of the list. Its file stays in the library.`, {
      label: t`Put back`,
      act: () => void editClips(store, { kind: "saveClip", clip: whole, baseRevision: 0 }),
    });
  };
  const makeMapping = async () => {
    const names = new Set(mappings.map(({ name }) => name));
    let name = t`Details`;
    for (let n = 2; names.has(name); n++) name = t`Details ${n}`;
    const made = { id: newId(), name, fields: firstFields(clip.elements) };
    if (await editClips(store, { kind: "saveMapping", mapping: made, baseRevision: 0 }))
      save({ mappingId: made.id });
  };
  const id = `clip-${clip.id}`;
  return (
    <div className="flex flex-col gap-5">
      <div className="flex flex-wrap items-end gap-4">
        <Labelled id={`${id}-name`} label={t`Name`}>
          <input
            id={`${id}-name`}
            key={clip.name}
            defaultValue={clip.name}
            maxLength={120}
            onBlur={({ target }) => {
              const name = target.value.trim();
              if (name === "") target.value = clip.name;
              else if (name !== clip.name) save({ name });
            }}
            className={`${fieldClass} min-h-[42px] text-[16px]`}
          />
        </Labelled>
        <div>
          <label htmlFor={`${id}-end`} className="mb-1 block text-[14px] text-second">
            {t`At its end`}
          </label>
          <select
            id={`${id}-end`}
            value={clip.atEnd}
            onChange={({ target }) => save({ atEnd: target.value as ClipEnd })}
            className={`${fieldClass} min-h-[42px]`}
          >
            {CLIP_ENDS.map((each) => (
              <option key={each} value={each}>
                {AT_END[each]}
              </option>
            ))}
          </select>
        </div>
      </div>
      <p className="text-[15px] text-second">
        {told.lengthMs === null
          ? t`Its file is not in the library any more.`
          : `${fileOf(clip.mediaId)}, ${formatLength(told.lengthMs)}`}
        {told.title !== clip.name && t` · on air it is called “${told.title}”`}
      </p>
      <section aria-label={t`What is known of it`} className="flex flex-col gap-3">
        <h3 className="text-[16px] font-semibold">{t`What is known of it`}</h3>
        <div className="flex flex-wrap items-center gap-3">
          <label className={`${button} cursor-pointer focus-within:outline-2 focus-within:outline-act`}>
            <FileCode2 aria-hidden="true" className="size-4" />
            {hasElements ? t`Bring its XML file again` : t`Bring its XML file`}
            <input
              type="file"
              accept=".xml,text/xml,application/xml"
              className="sr-only"
              onChange={({ target }) => {
                const [file] = target.files ?? [];
                if (file) void bringDetails(store, [file], fileOf, told);
                target.value = "";
              }}
            />
          </label>
          {hasElements && (
            <label className="flex items-center gap-2 text-[15px] text-second">
              {t`Fields by`}
              <select
                value={clip.mappingId}
                onChange={({ target }) =>
                  target.value === NEW_MAPPING ? void makeMapping() : save({ mappingId: target.value })
                }
                className={boxClass}
              >
                <option value="">{t`no mapping`}</option>
                {mappings.map(({ id: mappingId, name }) => (
                  <option key={mappingId} value={mappingId}>
                    {name}
                  </option>
                ))}
                <option value={NEW_MAPPING}>{t`a new mapping…`}</option>
              </select>
            </label>
          )}
        </div>
        {!hasElements && (
          <p className="max-w-2xl text-[15px] text-second">
            {t`Nothing yet. An XML file that lies beside the clip may say its title, who made it and anything else; a mapping says which of its elements are which fields. Pages then show them, each of its own clip.`}
          </p>
        )}
        {mapping && hasElements && <MappingForm key={mapping.id} mapping={mapping} clip={told} />}
      </section>
      <button type="button" onClick={() => void remove()} className={button}>
        <Trash2 aria-hidden="true" className="size-4" /> {t`Take out of the list`}
      </button>
    </div>
  );
}
