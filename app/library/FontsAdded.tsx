import { t } from "../../core/language/t.ts";
import type { FontEmbedding } from "../../core/text/fontEmbedding.ts";
import type { LibraryData } from "../api/loaded.ts";

/** What the maker of a font allows, by the bits in its file. */
const ALLOWED: Readonly<Record<FontEmbedding, string>> = {
  installable: t`its licence bits allow any use; it goes along when a style is exported`,
  editable: t`its licence bits allow it in files that are edited; it goes along when a style is exported`,
  previewAndPrint: t`its licence bits allow it in files that are only viewed; it goes along when a style is exported`,
  restricted: t`its licence bits forbid passing it on: it stays behind when a style is exported`,
  unsaid: t`its file says nothing of a licence`,
};

/** Fonts that the venue brought in. */
export function FontsAdded({
  fonts,
  onRemove,
}: {
  fonts: LibraryData["fonts"];
  onRemove: (id: string, name: string) => void;
}) {
  if (fonts.length === 0) return null;
  return (
    <section aria-label={t`Fonts added`} className="mt-6 max-w-3xl text-[15px]">
      <h2 className="font-semibold">{t`Fonts added`}</h2>
      <p className="text-second">
        {t`Every window has them. Choose them for words, titles and figures in Design.`}
      </p>
      <ul className="mt-2 flex flex-col gap-1.5">
        {fonts.map(({ id, name, embedding }) => (
          <li key={id} className="flex items-center gap-3">
            <span className="min-w-0 flex-1">
              <span className="block truncate">{name}</span>
              <span
                className={`block text-[14px] ${embedding === "restricted" ? "text-attention" : "text-second"}`}
              >
                {ALLOWED[embedding]}
              </span>
            </span>
            <button
              type="button"
              onClick={() => onRemove(id, name)}
              className="min-h-8 rounded-md bg-lifted px-3 hover:bg-edge"
            >
              {t`Delete`}
              <span className="sr-only"> {name}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
