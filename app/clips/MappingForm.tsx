import { Plus, X } from "lucide-react";
import type { ClipMapping } from "../../core/clips/clipMapping.ts";
import { t } from "../../core/language/t.ts";
import type { ClipMappingView, ClipView } from "../../core/wire/followView.ts";
import { useSavesInOrder } from "../api/useSavesInOrder.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { boxClass } from "../ui/Labelled.tsx";
import { editClips } from "./editClips.ts";

/** Which elements are which fields, with what the file of this clip says in each. A change holds for every clip of the mapping. */
export function MappingForm({ mapping: told, clip }: { mapping: ClipMappingView; clip: ClipView }) {
  const store = useDeskStore();
  const { revision, ...plain } = told;
  const [mapping, save] = useSavesInOrder<ClipMapping>(revision, plain, (doc, baseRevision) =>
    editClips(store, { kind: "saveMapping", mapping: doc, baseRevision }),
  );
  const entries = Object.entries(mapping.fields);
  const paths = [...new Set([...Object.keys(clip.elements), ...Object.values(mapping.fields)])];
  const put = (changed: readonly (readonly [string, string])[]) =>
    save({ fields: Object.fromEntries(changed) });
  const rename = (from: string, to: string): boolean => {
    if (to === from) return true;
    if (to === "" || to in mapping.fields || to in Object.prototype) {
      store.say("trouble", t`A field needs a name of its own. “${from}” was left as it is.`);
      return false;
    }
    put(entries.map(([field, path]) => [field === from ? to : field, path]));
    return true;
  };
  const free = paths.find((path) => !Object.values(mapping.fields).includes(path));
  const nameOfNew = () => {
    for (let n = entries.length + 1; ; n++) if (!(t`field ${n}` in mapping.fields)) return t`field ${n}`;
  };
  return (
    <div className="flex flex-col gap-2">
      <label className="flex items-center gap-3 text-[15px]">
        <span className="text-second">{t`This mapping is called`}</span>
        <input
          key={mapping.name}
          defaultValue={mapping.name}
          maxLength={60}
          onBlur={({ target }) => {
            const name = target.value.trim();
            if (name === "") target.value = mapping.name;
            else if (name !== mapping.name) save({ name });
          }}
          className={`${boxClass} w-64`}
        />
      </label>
      <table className="w-full max-w-4xl table-fixed border-collapse text-[15px]">
        <thead>
          <tr className="text-left text-[14px] text-second *:pb-1 *:font-normal">
            <th className="w-[24%]">{t`Field`}</th>
            <th className="w-[36%]">{t`is the element`}</th>
            <th>{t`which says here`}</th>
            <th className="w-10">
              <span className="sr-only">{t`Take away`}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {entries.map(([field, path]) => (
            <tr key={field} className="border-t border-edge *:py-1 *:pr-3">
              <td>
                <input
                  aria-label={t`Name of the field “${field}”`}
                  defaultValue={field}
                  maxLength={40}
                  onBlur={({ target }) => {
                    if (!rename(field, target.value.trim())) target.value = field;
                  }}
                  className={`${boxClass} w-full`}
                />
              </td>
              <td>
                <select
                  aria-label={t`Element of “${field}”`}
                  value={path}
                  onChange={({ target }) =>
                    put(entries.map(([each, of]) => [each, each === field ? target.value : of]))
                  }
                  className={`${boxClass} w-full font-mono text-[14px]`}
                >
                  {paths.map((each) => (
                    <option key={each}>{each}</option>
                  ))}
                </select>
              </td>
              <td className="truncate" title={clip.elements[path] ?? ""}>
                {clip.elements[path] ?? <span className="text-second">{t`nothing in this file`}</span>}
              </td>
              <td>
                <button
                  type="button"
                  aria-label={t`Take the field “${field}” away`}
                  onClick={() => put(entries.filter(([each]) => each !== field))}
                  className="grid size-9 place-content-center rounded-md hover:bg-lifted"
                >
                  <X aria-hidden="true" className="size-4" />
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {free !== undefined && (
        <button
          type="button"
          onClick={() => put([...entries, [nameOfNew(), free]])}
          className="flex min-h-9 w-fit items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge"
        >
          <Plus aria-hidden="true" className="size-4" /> {t`One more field`}
        </button>
      )}
    </div>
  );
}
