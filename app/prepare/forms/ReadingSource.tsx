import { t } from "../../../core/language/t.ts";
import type { ReadingDoc } from "../../../core/rundown/cueDoc.ts";
import type { ListedText } from "../../desk/deskData.ts";
import { fieldClass, Labelled } from "../../ui/Labelled.tsx";
import { OtherReadings } from "./OtherReadings.tsx";

/** What is read, and from which text. */
export function ReadingSource({
  id,
  doc,
  offered,
  onType,
}: {
  id: string;
  doc: ReadingDoc;
  offered: readonly ListedText[];
  onType: (doc: ReadingDoc) => void;
}) {
  return (
    <>
      <div className="flex gap-3">
        <Labelled id={id} label={t`Reference`}>
          <input
            id={id}
            value={doc.reference}
            placeholder={t`Ps 107:23-30; Jn 1:1-5`}
            maxLength={200}
            spellCheck={false}
            onChange={(event) => onType({ ...doc, reference: event.target.value })}
            className={`${fieldClass} font-words text-[20px]`}
          />
        </Labelled>
        <Labelled id={`${id}-text`} label={t`Text`}>
          <select
            id={`${id}-text`}
            value={doc.text}
            onChange={(event) => onType({ ...doc, text: event.target.value })}
            className={`${fieldClass} h-11.5 text-[16px]`}
          >
            {offered.map(({ code, name }) => (
              <option key={code} value={code}>
                {name}
              </option>
            ))}
          </select>
        </Labelled>
      </div>
      <OtherReadings
        reference={doc.reference}
        text={doc.text}
        onChoose={(reference) => onType({ ...doc, reference })}
      />
    </>
  );
}
