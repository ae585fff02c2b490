import { t } from "../../core/language/t.ts";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import { nameOfTypeface, TYPEFACES } from "../../designs/typefaces.ts";

const ROLE_NAMES: Readonly<Record<string, string>> = {
  words: t`Words`,
  titles: t`Titles`,
  plain: t`Small print`,
  figures: t`Figures`,
};

/** Which font each role of the style in use is set in: one that ships, or one of the venue. */
export function FontRoles({
  faces,
  fonts,
  onChoose,
}: {
  faces: HouseStyle["fonts"];
  /** Of the venue. */
  fonts: readonly { readonly id: string; readonly name: string }[];
  onChoose: (role: string, wanted: string) => void;
}) {
  return (
    <fieldset className="flex flex-wrap items-center gap-x-4 gap-y-2 text-[15px]">
      <legend className="float-left mr-3 text-second">{t`Fonts in use`}</legend>
      {Object.entries(faces).map(([role, face]) => (
        <label key={role} className="flex items-center gap-2">
          {ROLE_NAMES[role] ?? role}
          <select
            value={nameOfTypeface(face, fonts) ?? ""}
            onChange={({ target }) => onChoose(role, target.value)}
            className="min-h-9 rounded-md border border-edge-strong bg-ground px-2 text-paper"
          >
            {nameOfTypeface(face, fonts) === undefined && <option value="">{t`not here any more`}</option>}
            {Object.keys(TYPEFACES).map((name) => (
              <option key={name} value={name}>
                {name}
              </option>
            ))}
            {fonts.map(({ id, name }) => (
              <option key={id} value={id}>
                {name.replace(/\.(?:ttf|otf)$/i, "")}
              </option>
            ))}
          </select>
        </label>
      ))}
    </fieldset>
  );
}
