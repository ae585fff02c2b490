import { t } from "../../../core/language/t.ts";
import { REFERENCE_PLACES, type ReadingDoc, type ReferencePlace } from "../../../core/rundown/cueDoc.ts";
import type { ListedText } from "../../desk/deskData.ts";
import { CheckBox } from "../../ui/CheckBox.tsx";
import { fieldClass, Labelled } from "../../ui/Labelled.tsx";

const PLACE_NAMES: Readonly<Record<ReferencePlace, string>> = {
  each: t`on each slide`,
  first: t`on the first slide`,
  last: t`on the last slide`,
  none: "nowhere",
};

/** What stands beside and around the words of a reading. */
export function ReadingChoices({
  id,
  doc,
  texts,
  onType,
}: {
  id: string;
  doc: ReadingDoc;
  texts: readonly ListedText[];
  onType: (doc: ReadingDoc) => void;
}) {
  return (
    <>
      <div className="flex flex-wrap gap-3">
        <Labelled id={`${id}-second`} label={t`Second text`}>
          <select
            id={`${id}-second`}
            value={doc.second?.text ?? ""}
            onChange={(event) =>
              onType({
                ...doc,
                second:
                  event.target.value === ""
                    ? null
                    : { text: event.target.value, how: doc.second?.how ?? "beside" },
              })
            }
            className={`${fieldClass} text-[16px]`}
          >
            <option value="">{t`none`}</option>
            {texts.map(({ code, name }) => (
              <option key={code} value={code}>
                {name}
              </option>
            ))}
          </select>
        </Labelled>
        {doc.second && (
          <Labelled id={`${id}-how`} label={t`It stands`}>
            <select
              id={`${id}-how`}
              value={doc.second.how}
              onChange={(event) =>
                onType({
                  ...doc,
                  second: doc.second && {
                    ...doc.second,
                    how: event.target.value === "after" ? "after" : "beside",
                  },
                })
              }
              className={`${fieldClass} text-[16px]`}
            >
              <option value="beside">{t`beside the first`}</option>
              <option value="after">{t`after each passage`}</option>
            </select>
          </Labelled>
        )}
        <Labelled id={`${id}-reference-at`} label={t`Reference shown`}>
          <select
            id={`${id}-reference-at`}
            value={doc.referenceAt}
            onChange={(event) => onType({ ...doc, referenceAt: event.target.value as ReferencePlace })}
            className={`${fieldClass} text-[16px]`}
          >
            {REFERENCE_PLACES.map((place) => (
              <option key={place} value={place}>
                {PLACE_NAMES[place]}
              </option>
            ))}
          </select>
        </Labelled>
      </div>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1 text-[15px]">
        <CheckBox
          label={t`Verse numbers`}
          isOn={doc.numbers}
          onChange={(numbers) => onType({ ...doc, numbers })}
        />
        <CheckBox
          label={t`Lines of poetry`}
          isOn={doc.poetry}
          onChange={(poetry) => onType({ ...doc, poetry })}
        />
        <CheckBox
          label={t`Name of the text`}
          isOn={doc.translation}
          onChange={(translation) => onType({ ...doc, translation })}
        />
        <CheckBox
          label={t`Rights, at the end`}
          isOn={doc.rights}
          onChange={(rights) => onType({ ...doc, rights })}
        />
        {doc.breaks.length > 0 && (
          <button
            type="button"
            onClick={() => onType({ ...doc, breaks: [] })}
            className="min-h-8 rounded-md bg-lifted px-3 text-[14px] hover:bg-edge"
          >
            {t`Remove ${doc.breaks.length === 1 ? t`the manual break` : t`${doc.breaks.length} manual breaks`}`}
          </button>
        )}
      </div>
    </>
  );
}
