import { t } from "../../core/language/t.ts";
import { boxClass } from "../ui/Labelled.tsx";
import { STILL_FORMS, type StillForm } from "./fetchStill.ts";

const WORDS: Readonly<Record<StillForm, string>> = {
  picture: t`with alpha`,
  fill: t`fill, for a keyer`,
  key: t`key, for a keyer`,
  black: t`over black`,
};

export function StillFormSelect({
  value,
  onChange,
}: {
  value: StillForm;
  onChange: (form: StillForm) => void;
}) {
  return (
    <select
      aria-label={t`How they are painted`}
      className={boxClass}
      value={value}
      onChange={({ target }) => onChange(STILL_FORMS.find((each) => each === target.value) ?? "picture")}
    >
      {STILL_FORMS.map((each) => (
        <option key={each} value={each}>
          {WORDS[each]}
        </option>
      ))}
    </select>
  );
}
