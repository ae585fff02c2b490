import { FileUp, Plug, Plus } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { type ReactNode, useEffect, useMemo, useRef, useState } from "react";
import { useFetcher } from "react-router";
import { t } from "../../../core/language/t.ts";
import { type CueDoc, pageCue } from "../../../core/rundown/cueDoc.ts";
import { isForPages } from "../../../core/scene/fieldSet.ts";
import type { HouseStyle } from "../../../core/scene/houseStyle.ts";
import type { Template } from "../../../core/scene/template.ts";
import { DESIGN_PATH, type DesignData } from "../../api/loaded.ts";
import { useDesk, useDrawing } from "../../desk/deskContext.ts";
import type { Drawing } from "../../live/drawing.ts";
import { PagePicture } from "../../pictures/PagePicture.tsx";
import { RESTING_MS, useLaidOut } from "../../pictures/useLaidOut.ts";
import { OFFERED_CUES } from "../forms/cueForms.ts";

/** Kinds of pages as people look for them. What is in none of these stands under "other". */
const GROUPS: readonly { readonly name: string; readonly fieldSets: readonly string[] }[] = [
  { name: t`Names and titles`, fieldSets: ["name", "title", "comment", "nowNext"] },
  { name: t`Words to read`, fieldSets: ["points", "roll", "crawl", "credit"] },
  { name: t`Pictures and clips`, fieldSets: ["picture", "clip", "backdrop", "loop", "corner", "squeeze"] },
  { name: t`Times and figures`, fieldSets: ["countdown", "clock", "standings", "bars"] },
];

/** For a page of a chosen kind, empty, to be filled where it stands: each as its true picture. */
export function AddMenu({
  onAdd,
  onFeed,
  onFiles,
}: {
  onAdd: (doc: CueDoc) => Promise<boolean>;
  /** Files were chosen: slides, or a rundown in text. */
  onFiles: (files: readonly File[]) => void;
  /** Pages are to be made of a feed's rows. */
  onFeed: () => void;
}) {
  const [isOpen, setIsOpen] = useState(false);
  const files = useRef<HTMLInputElement>(null);
  const grouped = new Set(GROUPS.flatMap(({ fieldSets }) => fieldSets));
  const { fieldSets, feeds } = useDesk("fieldSets", "feeds");
  const others = [...fieldSets.values()].flatMap((set) =>
    isForPages(set) && !grouped.has(set.id) ? [set.id] : [],
  );
  const groups = others.length > 0 ? [...GROUPS, { name: t`Other`, fieldSets: others }] : GROUPS;
  return (
    <>
      <input
        ref={files}
        type="file"
        multiple
        aria-label={t`Slides or a rundown`}
        tabIndex={-1}
        accept=".pdf,.zip,.pptx,.pptm,.ppsx,.txt,.md,.markdown,.csv,.tsv,.ics,.cho,.chopro,.crd,.pro,image/png,image/jpeg,image/webp,image/avif,image/gif"
        className="sr-only"
        onChange={({ target }) => {
          onFiles([...(target.files ?? [])]);
          target.value = "";
        }}
      />
      <DropdownMenu.Root open={isOpen} onOpenChange={setIsOpen}>
        <DropdownMenu.Trigger className="flex min-h-11 shrink-0 items-center gap-1.5 rounded-lg bg-lifted px-3.5 text-[15px] hover:bg-edge">
          <Plus aria-hidden="true" className="size-4.5" /> {t`Empty page`}
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            sideOffset={6}
            onCloseAutoFocus={(event) => {
              const choice = document.querySelector<HTMLElement>("[data-feed-choice]");
              if (!choice) return;
              // What was opened by the menu has the keys now.
              event.preventDefault();
              choice.focus();
            }}
            className="z-30 max-h-[78vh] w-[min(46rem,94vw)] overflow-y-auto rounded-lg border border-edge-strong bg-raised p-3 shadow-xl"
          >
            <DropdownMenu.Group className="mb-2 flex flex-wrap gap-1.5">
              {OFFERED_CUES.map(({ name, Icon, make }) => (
                <Plain key={name} name={name} icon={<Icon />} onAdd={() => onAdd(make())} />
              ))}
              <Plain
                name={t`A file: slides, or a rundown in text`}
                icon={<FileUp />}
                onAdd={async () => {
                  files.current?.click();
                  return true;
                }}
              />
              {feeds.length > 0 && (
                <Plain
                  name={t`A page for each row of a feed`}
                  icon={<Plug />}
                  onAdd={async () => {
                    onFeed();
                    return true;
                  }}
                />
              )}
            </DropdownMenu.Group>
            <KindsInGroups groups={groups} onAdd={onAdd} />
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </>
  );
}

const itemClass = "rounded-md text-[15px] outline-none data-highlighted:bg-lifted";

function Plain({ name, icon, onAdd }: { name: string; icon: ReactNode; onAdd: () => Promise<boolean> }) {
  return (
    <DropdownMenu.Item
      onSelect={() => void onAdd()}
      className={`${itemClass} flex min-h-10 items-center gap-2 border border-edge px-3 [&>svg]:size-4.5 [&>svg]:text-second`}
    >
      {icon}
      {name}
    </DropdownMenu.Item>
  );
}

function KindsInGroups({
  groups,
  onAdd,
}: {
  groups: typeof GROUPS;
  onAdd: (doc: CueDoc) => Promise<boolean>;
}) {
  const drawing = useDrawing();
  const { fieldSets: known } = useDesk("fieldSets");
  const { load, data } = useFetcher<DesignData>();
  useEffect(() => {
    void load(DESIGN_PATH);
  }, [load]);
  const style = data?.styles.find(({ id }) => id === data.wornStyleId)?.style;
  return groups.map(({ name, fieldSets }) => (
    <DropdownMenu.Group key={name} className="mb-2">
      <DropdownMenu.Label className="px-1 py-1.5 text-[14px] text-second">{name}</DropdownMenu.Label>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        {fieldSets.map((id) => {
          const fieldSet = known.get(id);
          if (!fieldSet) return null;
          const template = data?.wardrobes
            .flatMap(({ templates }) => templates)
            .find((offered) => offered.isWorn && offered.template.fieldSet === id)?.template;
          return (
            <DropdownMenu.Item
              key={id}
              onSelect={() => void onAdd(pageCue({ fieldSet: id }))}
              className={`${itemClass} border border-edge p-1`}
            >
              {drawing && data && template && style ? (
                <Kind template={template} style={style} drawing={drawing} data={data} />
              ) : (
                <span className="block aspect-video" />
              )}
              <span className="mt-1 block px-1">{fieldSet.name}</span>
            </DropdownMenu.Item>
          );
        })}
      </div>
    </DropdownMenu.Group>
  ));
}

/** A kind of page as the house wears it, with sample words. */
function Kind({
  template,
  style,
  drawing,
  data,
}: {
  template: Template;
  style: HouseStyle;
  drawing: Drawing;
  data: DesignData;
}) {
  const { fieldSets } = useDesk("fieldSets");
  const list = useMemo(() => [template], [template]);
  const pages = useLaidOut(list, style, drawing, fieldSets, data.samples);
  return (
    <span aria-hidden="true" className="block">
      <PagePicture pages={pages} drawing={drawing} atMs={RESTING_MS} label={template.name} ground="#2a221d" />
    </span>
  );
}
