import { t } from "../../../core/language/t.ts";
import type { RemarkDoc } from "../../../core/rundown/cueDoc.ts";
import { fieldClass, Labelled } from "../../ui/Labelled.tsx";
import { editorId } from "./editorId.ts";

/** Words for those who run the evening: a heading of a part, or a remark between cues. */
export function RemarkForm({
  cueId,
  doc,
  onType,
}: {
  cueId: string;
  doc: RemarkDoc;
  onType: (doc: RemarkDoc) => void;
}) {
  return (
    <Labelled id={editorId(cueId)} label={doc.isHeading ? t`Heading` : t`Remark`}>
      <textarea
        id={editorId(cueId)}
        value={doc.text}
        rows={doc.isHeading ? 1 : 3}
        maxLength={2_000}
        onChange={({ target }) => onType({ ...doc, text: target.value })}
        className={`${fieldClass} ${doc.isHeading ? "text-[20px] font-semibold" : "text-[16px]"}`}
      />
    </Labelled>
  );
}
