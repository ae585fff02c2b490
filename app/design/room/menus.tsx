import { Plus } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { t } from "../../../core/language/t.ts";
import { type LeafKindName, OBJECT_KINDS } from "../../../core/scene/objectKinds.ts";
import type { ArrangeAct } from "./useRoomActs.ts";

const menuClass =
  "flex min-h-9 cursor-default items-center rounded-md px-3 text-[15px] outline-none data-highlighted:bg-lifted data-disabled:text-quiet";
const contentClass =
  "z-30 max-h-[70vh] overflow-y-auto rounded-lg border border-edge-strong bg-raised p-1.5 shadow-xl";

export function AddObject({ onAdd }: { onAdd: (kind: LeafKindName) => void }) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="flex min-h-9 items-center gap-1.5 rounded-lg bg-act px-3 text-[15px] font-bold text-on-bright hover:brightness-110">
        <Plus aria-hidden="true" className="size-4.5" /> {t`Add`}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="start" sideOffset={6} className={`${contentClass} grid grid-cols-2`}>
          {(Object.keys(OBJECT_KINDS) as LeafKindName[]).map((kind) => (
            <DropdownMenu.Item key={kind} onSelect={() => onAdd(kind)} className={menuClass}>
              {OBJECT_KINDS[kind].name}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

const ARRANGE: readonly { act: ArrangeAct; words: string; keys?: string; least: number }[] = [
  { act: "front", words: t`To the very front`, least: 1 },
  { act: "forward", words: t`One forward`, keys: "Ctrl ]", least: 1 },
  { act: "backward", words: t`One back`, keys: "Ctrl [", least: 1 },
  { act: "back", words: t`To the very back`, least: 1 },
  { act: "spread", words: t`Equal room, side by side`, least: 3 },
  { act: "stack", words: t`Equal room, one under another`, least: 3 },
  { act: "sameWidth", words: t`Equal widths`, least: 2 },
  { act: "sameHeight", words: t`Equal heights`, least: 2 },
  { act: "group", words: t`Group`, keys: t`Ctrl G`, least: 1 },
  { act: "ungroup", words: t`Ungroup`, keys: t`Ctrl Shift G`, least: 1 },
  { act: "duplicate", words: t`Duplicate`, keys: t`Ctrl D`, least: 1 },
  { act: "delete", words: t`Delete`, keys: t`Del`, least: 1 },
];

export function ArrangeMenu({
  count,
  isGroup,
  onAct,
}: {
  count: number;
  isGroup: boolean;
  onAct: (act: ArrangeAct) => void;
}) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="min-h-9 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge">
        {t`Arrange`}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="start" sideOffset={6} className={contentClass}>
          {ARRANGE.map(({ act, words, keys, least }) => (
            <DropdownMenu.Item
              key={act}
              disabled={count < least || (act === "ungroup" && !isGroup)}
              onSelect={() => onAct(act)}
              className={menuClass}
            >
              {words}
              {keys && <kbd className="ml-auto pl-6 text-second">{keys}</kbd>}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
