import { Popover } from "radix-ui";
import { useState } from "react";
import type { DesignEdit } from "../../core/design/designEdit.ts";
import { changesOf } from "../../core/design/designKinds.ts";
import { t } from "../../core/language/t.ts";
import type { Outfit } from "../../core/venue/outfit.ts";
import type { DeskOutfit } from "../../core/wire/deskDesigns.ts";
import { call } from "../api/call.ts";
import { newId } from "../api/newId.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import { NumberBox } from "../ui/NumberBox.tsx";
import { DeleteDesign } from "./DeleteDesign.tsx";

/** What an outfit is called and how many lines its slides have; another one made like it. */
export function OutfitMenu({
  outfit,
  actor,
  onMade,
}: {
  outfit: DeskOutfit;
  actor: string;
  /** Another outfit is there, or this one is otherwise. */
  onMade: (outfitId: string) => void;
}) {
  const store = useDeskStore();
  const [isOpen, setOpen] = useState(false);
  const [name, setName] = useState(outfit.name);
  const [linesPerSlide, setLines] = useState(outfit.linesPerSlide);
  const of = { kind: "outfit", id: outfit.id } as const;
  const send = async (...edits: readonly DesignEdit[]): Promise<boolean> => {
    for (const edit of edits) {
      const answer = await call("/design-edit", { actor, edit });
      if ("problem" in answer) {
        store.say("trouble", answer.problem.sentence);
        return false;
      }
    }
    return true;
  };
  const publish = (id: string): DesignEdit => ({
    kind: "publish",
    of: { kind: "outfit", id },
    note: "",
    by: store.name,
  });
  const save = async () => {
    const called = name.trim() || outfit.name;
    // What it wears is not touched here.
    const plain = { kind: "outfit", variants: [], wears: {} } as const;
    const before: Outfit = { ...plain, variants: [], name: outfit.name, linesPerSlide: outfit.linesPerSlide };
    const changes = changesOf("outfit", before, { ...before, name: called, linesPerSlide });
    if (changes.length === 0) return setOpen(false);
    const label = t`Change the outfit`;
    const change = { kind: "change", of, changes, label, joins: false } as DesignEdit;
    if (await send(change, publish(outfit.id))) {
      store.say("word", t`“${called}” is changed from the next take on. What is on air stays as it is.`);
      setOpen(false);
      onMade(outfit.id);
    }
  };
  const copy = async () => {
    const id = newId();
    const called = t`${outfit.name}, another`.slice(0, 80);
    if (await send({ kind: "duplicate", of, id, name: called }, publish(id))) {
      setOpen(false);
      onMade(id);
    }
  };
  return (
    <Popover.Root
      open={isOpen}
      onOpenChange={(open) => {
        setName(outfit.name);
        setLines(outfit.linesPerSlide);
        setOpen(open);
      }}
    >
      <Popover.Trigger className="min-h-9 rounded-md px-3 text-[15px] text-act hover:bg-lifted">
        {t`Change this outfit`}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          className="z-30 flex w-96 flex-col gap-3 rounded-lg border border-edge-strong bg-raised p-4 shadow-xl"
        >
          <Labelled id="outfit-name" label={t`Name`}>
            <input
              id="outfit-name"
              value={name}
              maxLength={80}
              onChange={({ target }) => setName(target.value)}
              className={`${fieldClass} text-[15px]`}
            />
          </Labelled>
          <span className="flex items-center gap-2 text-[15px]">
            <label htmlFor="outfit-lines" className="flex-1 text-second">
              {t`Lines on a slide, at most`}
            </label>
            <NumberBox
              id="outfit-lines"
              value={linesPerSlide}
              min={1}
              max={20}
              step={1}
              onSave={(lines) => setLines(Math.round(lines))}
              className="w-16"
            />
          </span>
          <p className="text-[14px] text-second">
            {t`Songs and readings are divided anew for it. What is on air stays as it is.`}
          </p>
          <span className="flex gap-2">
            <button
              type="button"
              onClick={() => void save()}
              className="min-h-10 flex-1 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright hover:brightness-110"
            >
              {t`Save`}
            </button>
            <button
              type="button"
              onClick={() => void copy()}
              className="min-h-10 rounded-lg bg-lifted px-4 text-[15px] hover:bg-edge"
            >
              {t`Make another like it`}
            </button>
            <DeleteDesign of={of} name={outfit.name} actor={actor} onChanged={() => onMade(outfit.id)} />
          </span>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
