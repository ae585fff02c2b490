import { t } from "../../../core/language/t.ts";
import type { HouseStyle } from "../../../core/scene/houseStyle.ts";
import { findTypeface } from "../../../designs/typefaces.ts";
import { FontRoles } from "../FontRoles.tsx";
import type { EditStyle } from "./editStyle.ts";

/** What each role of a style is set in. */
export function StyleFonts({
  style,
  fonts,
  onEdit,
}: {
  style: HouseStyle;
  fonts: readonly { readonly id: string; readonly name: string }[];
  onEdit: EditStyle;
}) {
  return (
    <section aria-label={t`Fonts`} className="flex flex-col gap-2">
      <h2 className="text-[16px] font-semibold">{t`Fonts`}</h2>
      <FontRoles
        faces={style.fonts}
        fonts={fonts}
        onChoose={(role, wanted) => {
          const face = findTypeface(wanted, fonts);
          if (face) onEdit(t`Font: ${role}`, (from) => ({ ...from, fonts: { ...from.fonts, [role]: face } }));
        }}
      />
    </section>
  );
}
