import { pickedFeeds } from "../../../core/feeds/binding.ts";
import { t } from "../../../core/language/t.ts";
import { type PageDoc, withPick } from "../../../core/rundown/cueDoc.ts";
import { useDesk } from "../../desk/deskContext.ts";
import { CheckBox } from "../../ui/CheckBox.tsx";
import { SecondsBox } from "../../ui/SecondsBox.tsx";
import { FreezeButton } from "./bindings/FreezeButton.tsx";
import { PickBox } from "./bindings/PickBox.tsx";
import { editorId } from "./editorId.ts";
import { PageFields } from "./PageFields.tsx";

/** A page's form, made from its fields: lines, texts, pictures; when it leaves. */
export function PageForm({
  cueId,
  doc,
  onType,
}: {
  cueId: string;
  doc: PageDoc;
  onType: (doc: PageDoc) => void;
}) {
  const { state, fieldSets } = useDesk("state", "fieldSets");
  const fields = fieldSets.get(doc.fieldSet)?.fields ?? [];
  const picked = pickedFeeds(doc.bindings);
  const stayId = `${editorId(cueId)}-stay`;
  return (
    <>
      {picked.map((feedId) => (
        <PickBox
          key={feedId}
          feedId={feedId}
          picked={doc.picks[feedId]}
          onPick={(row) => onType(withPick(doc, feedId, row))}
        />
      ))}
      <PageFields
        id={editorId(cueId)}
        fields={fields}
        values={doc.values}
        onChange={(name, value) => onType({ ...doc, values: { ...doc.values, [name]: value } })}
        bindings={doc.bindings}
        picks={doc.picks}
        onBindings={(bindings) => onType({ ...doc, bindings })}
      />
      {Object.keys(doc.bindings).length > 0 && (
        <div className="flex items-center gap-3 text-[15px] text-second">
          <FreezeButton cueId={cueId} />
          {t`It changes with its feeds, on air too.`}
        </div>
      )}
      <div className="flex flex-wrap items-center gap-2.5 text-[15px]">
        <label htmlFor={`${stayId}-layer`} className="text-second">
          {t`On the layer`}
        </label>
        <select
          id={`${stayId}-layer`}
          value={doc.layerId ?? ""}
          onChange={({ target }) => onType({ ...doc, layerId: target.value === "" ? null : target.value })}
          className="mr-4 min-h-10 rounded-md border border-edge-strong bg-ground px-2"
        >
          <option value="">{t`its usual one`}</option>
          {state.layers.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <label htmlFor={stayId} className="text-second">
          {t`Leaves by itself after`}
        </label>
        <SecondsBox
          id={stayId}
          ms={doc.stayMs}
          min={0.5}
          max={3_600}
          step={0.5}
          onSave={(ms) => onType({ ...doc, stayMs: ms })}
          onClear={() => onType({ ...doc, stayMs: null })}
          className="w-16"
        />
        <span className="text-second">{t`s`}</span>
        {fields.some(({ kind }) => kind === "time") && (
          <CheckBox
            label={t`or when its countdown is at zero`}
            isOn={doc.leavesAtZero}
            onChange={(leavesAtZero) => onType({ ...doc, leavesAtZero })}
          />
        )}
      </div>
    </>
  );
}
