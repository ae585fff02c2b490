import { Pencil } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { Link } from "react-router";
import { t } from "../../../core/language/t.ts";
import type { DeskOutfit, OfferedOnDesk } from "../../../core/wire/deskDesigns.ts";
import { fieldClass, Labelled } from "../../ui/Labelled.tsx";
import { editorId } from "./editorId.ts";

/** Which template a cue wears, where an outfit offers several, and the way to change the one that it wears. */
export function TemplateLine({
  cueId,
  fieldSet,
  template,
  outfits,
  onChange,
}: {
  cueId: string;
  fieldSet: string;
  template: string | null;
  outfits: readonly DeskOutfit[];
  onChange: (template: string | null) => void;
}) {
  const id = `${editorId(cueId)}-template`;
  const offered = outfits.flatMap(({ name: outfit, templates }) => {
    const all = templates[fieldSet] ?? [];
    return all.length > 1 ? all.map((one) => ({ outfit, ...one })) : [];
  });
  // Cues of before say a name, which is a template's too.
  const choose = <T extends OfferedOnDesk>(all: readonly T[]): T | undefined =>
    all.find(({ key }) => key === template) ?? all.find(({ name }) => name === template);
  const chosen = choose(offered);
  const worn = outfits.flatMap(({ name: outfit, templates }) => {
    const all = templates[fieldSet] ?? [];
    const one = choose(all) ?? all[0];
    return one ? [{ outfit, ...one }] : [];
  });
  const to = (templateId: string) => `/design/template/${templateId}?${new URLSearchParams({ cue: cueId })}`;
  return (
    <div className="flex flex-wrap items-end gap-3">
      {offered.length > 0 && (
        <div className="w-full max-w-md">
          <Labelled id={id} label={t`Template`}>
            <select
              id={id}
              value={chosen?.key ?? ""}
              onChange={({ target }) => onChange(target.value === "" ? null : target.value)}
              className={`${fieldClass} text-[16px]`}
            >
              <option value="">{t`The outfit’s own`}</option>
              {offered.map(({ outfit, key, name }) => (
                <option key={`${outfit}/${key}`} value={key}>
                  {name} ({outfit})
                </option>
              ))}
            </select>
          </Labelled>
        </div>
      )}
      {worn.length > 0 && (
        <DropdownMenu.Root>
          <DropdownMenu.Trigger className="inline-flex min-h-10 items-center gap-2 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge">
            <Pencil aria-hidden="true" className="size-4" /> {t`Change this template`}
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="start"
              sideOffset={6}
              className="z-30 rounded-lg border border-edge-strong bg-raised p-1.5 shadow-xl"
            >
              {worn.map(({ outfit, id: templateId, name }) => (
                <DropdownMenu.Item
                  key={outfit}
                  asChild
                  className="flex min-h-9 items-center gap-3 rounded-md px-3 text-[15px] outline-none data-highlighted:bg-lifted"
                >
                  <Link to={to(templateId)}>
                    {name} <span className="ml-auto text-second">{outfit}</span>
                  </Link>
                </DropdownMenu.Item>
              ))}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      )}
    </div>
  );
}
