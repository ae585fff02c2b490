import { t } from "../../../core/language/t.ts";
import type { SongDoc } from "../../../core/rundown/cueDoc.ts";
import {
  CREDIT_PLACES,
  type CreditPlace,
  type Credits,
  creditLine,
  findMissingCredits,
  joinCredits,
  NO_CREDITS,
  nameMissing,
} from "../../../core/words/credits.ts";
import { useDeskData } from "../../desk/useDeskData.ts";
import { fieldClass, Labelled } from "../../ui/Labelled.tsx";

const PLACE_NAMES: Readonly<Record<CreditPlace, string>> = {
  first: t`with the first words`,
  last: t`with the last words`,
  each: t`on every slide`,
  end: t`on a step of its own at the end`,
  none: t`nowhere`,
};

/** Who made a song and under which terms, where that is shown, and what is missing. */
export function CreditsTab({
  id,
  doc,
  read,
  inLibrary,
  onType,
}: {
  id: string;
  doc: SongDoc;
  /** What the text itself says at its end. */
  read: Credits | undefined;
  inLibrary: boolean;
  onType: (doc: SongDoc) => void;
}) {
  const { licence } = useDeskData();
  const joined = joinCredits(doc.credits, read ?? NO_CREDITS);
  const missing = findMissingCredits(joined, licence);
  const set = (change: Partial<Credits>) => onType({ ...doc, credits: { ...doc.credits, ...change } });
  const field = (name: "writers" | "publisher" | "year" | "number", label: string, maxLength: number) => (
    <Labelled id={`${id}-${name}`} label={label}>
      <input
        id={`${id}-${name}`}
        value={doc.credits[name]}
        maxLength={maxLength}
        placeholder={read?.[name] || undefined}
        onChange={(event) => set({ [name]: event.target.value })}
        className={`${fieldClass} text-[16px]`}
      />
    </Labelled>
  );
  return (
    <div className="flex flex-col gap-3">
      <div className="flex gap-3">
        {field("writers", t`Words and music`, 300)}
        <div className="w-56">
          <Labelled id={`${id}-version`} label={t`Version, where there are several`}>
            <input
              id={`${id}-version`}
              value={doc.version}
              maxLength={80}
              onChange={(event) => onType({ ...doc, version: event.target.value })}
              className={`${fieldClass} text-[16px]`}
            />
          </Labelled>
        </div>
      </div>
      <div className="flex gap-3">
        {field("publisher", t`Publisher`, 300)}
        <div className="w-28">{field("year", t`Year`, 40)}</div>
        <div className="w-40">{field("number", t`Song’s licence number`, 40)}</div>
      </div>
      <label className="flex items-center gap-2.5 text-[15px]">
        <input
          type="checkbox"
          checked={doc.credits.publicDomain}
          onChange={(event) => set({ publicDomain: event.target.checked })}
          className="size-5 accent-act"
        />
        {t`Public domain: nobody’s licence is needed`}
      </label>
      {!inLibrary && (
        <Labelled id={`${id}-credit-at`} label={t`Shown`}>
          <select
            id={`${id}-credit-at`}
            value={doc.creditAt}
            onChange={(event) => onType({ ...doc, creditAt: event.target.value as CreditPlace })}
            className={`${fieldClass} max-w-sm text-[16px]`}
          >
            {CREDIT_PLACES.map((place) => (
              <option key={place} value={place}>
                {PLACE_NAMES[place]}
              </option>
            ))}
          </select>
        </Labelled>
      )}
      <p className="text-[15px]">
        <span className="text-second">{t`It reads`} </span>
        {creditLine(joined, licence) || t`nothing yet`}
      </p>
      {missing.length > 0 && (
        <p className="text-[14px] text-attention">{t`Not given: ${nameMissing(missing)}.`}</p>
      )}
    </div>
  );
}
