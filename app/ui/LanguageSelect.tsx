import { useMemo } from "react";
import { t } from "../../core/language/t.ts";
import { VENUE_LANGUAGES, type VenueLanguage, venueLanguageSchema } from "../../core/time/venueLanguage.ts";
import { formatDate } from "./format.ts";

/** A day after the twelfth, an hour after noon: it shows what each language does with both. */
const SAMPLE_MS = Date.UTC(2026, 11, 24, 19, 30);

/** Chooses how dates and times are written, with a date in the language chosen; each is named in its own words. */
export function LanguageSelect({
  id,
  chosen,
  className,
  onChoose,
}: {
  id: string;
  chosen: VenueLanguage;
  className: string;
  onChoose: (language: VenueLanguage) => void;
}) {
  const names = useMemo(
    () =>
      VENUE_LANGUAGES.map((language) =>
        new Intl.DisplayNames([language], { type: "language", languageDisplay: "standard" }).of(language),
      ),
    [],
  );
  return (
    <>
      <select
        id={id}
        value={chosen}
        aria-describedby={`${id}-sample`}
        onChange={({ target }) => onChoose(venueLanguageSchema.parse(target.value))}
        className={className}
      >
        {VENUE_LANGUAGES.map((language, at) => (
          <option key={language} value={language} lang={language} suppressHydrationWarning>
            {names[at]}
          </option>
        ))}
      </select>
      <span id={`${id}-sample`} className="text-[14px] text-second" suppressHydrationWarning>
        {t`as in ${formatDate(SAMPLE_MS, { timeZone: "UTC", language: chosen })}`}
      </span>
    </>
  );
}
