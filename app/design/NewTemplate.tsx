import { Plus } from "lucide-react";
import { Popover } from "radix-ui";
import { useState } from "react";
import { useNavigate } from "react-router";
import type { DesignEdit } from "../../core/design/designEdit.ts";
import { t } from "../../core/language/t.ts";
import { call } from "../api/call.ts";
import { newId } from "../api/newId.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";

/** No field set has such a name. */
const NEW_KIND = "+";

/** An empty template for pages of a kind, in an outfit: it opens in its room. */
export function NewTemplate({ outfitId, actor }: { outfitId: string; actor: string }) {
  const { fieldSets, state } = useDesk("fieldSets", "state");
  const store = useDeskStore();
  const navigate = useNavigate();
  const [name, setName] = useState("");
  const [fieldSet, setFieldSet] = useState("name");
  const [kindName, setKindName] = useState("");
  const [layerId, setLayerId] = useState("words");
  const isNewKind = fieldSet === NEW_KIND;
  const send = async (edit: DesignEdit) => {
    const answer = await call("/design-edit", { actor, edit });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    return "value" in answer;
  };
  const make = async () => {
    const id = newId();
    const kindId = isNewKind ? newId() : fieldSet;
    const kindCalled = isNewKind ? kindName.trim() : (fieldSets.get(fieldSet)?.name ?? fieldSet);
    if (kindCalled === "") return;
    const fields = { kind: "fieldSet", id: kindId } as const;
    if (isNewKind && !(await send({ kind: "createFields", of: fields, name: kindCalled, layerId }))) return;
    const of = { kind: "template", id } as const;
    const called = name.trim() || kindCalled;
    if (await send({ kind: "create", of, name: called, fieldSet: kindId, outfitId }))
      void navigate(`/design/template/${id}`);
  };
  return (
    <Popover.Root>
      <Popover.Trigger className="inline-flex min-h-10 items-center gap-2 rounded-lg bg-lifted px-4 text-[15px] hover:bg-edge">
        <Plus aria-hidden="true" className="size-4.5" />
        {t`New template`}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          className="z-30 flex w-80 flex-col gap-3 rounded-lg border border-edge-strong bg-raised p-4 shadow-xl"
        >
          <Labelled id="new-template-name" label={t`Name`}>
            <input
              id="new-template-name"
              value={name}
              maxLength={80}
              onChange={({ target }) => setName(target.value)}
              onKeyDown={(event) => event.key === "Enter" && void make()}
              className={`${fieldClass} text-[15px]`}
            />
          </Labelled>
          <Labelled id="new-template-for" label={t`For pages of the kind`}>
            <select
              id="new-template-for"
              value={fieldSet}
              onChange={({ target }) => setFieldSet(target.value)}
              className={`${fieldClass} text-[15px]`}
            >
              {[...fieldSets.values()].map(({ id, name: called }) => (
                <option key={id} value={id}>
                  {called}
                </option>
              ))}
              <option value={NEW_KIND}>{t`a new kind of page…`}</option>
            </select>
          </Labelled>
          {isNewKind && (
            <>
              <Labelled id="new-kind-name" label={t`What such pages are called`}>
                <input
                  id="new-kind-name"
                  value={kindName}
                  maxLength={80}
                  onChange={({ target }) => setKindName(target.value)}
                  className={`${fieldClass} text-[15px]`}
                />
              </Labelled>
              <Labelled id="new-kind-layer" label={t`They go to the layer`}>
                <select
                  id="new-kind-layer"
                  value={layerId}
                  onChange={({ target }) => setLayerId(target.value)}
                  className={`${fieldClass} text-[15px]`}
                >
                  {state.layers.map(({ id, name: layer }) => (
                    <option key={id} value={id}>
                      {layer}
                    </option>
                  ))}
                </select>
              </Labelled>
            </>
          )}
          <button
            type="button"
            disabled={isNewKind && kindName.trim() === ""}
            onClick={() => void make()}
            className="min-h-10 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright hover:brightness-110"
          >
            {t`Make it`}
          </button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
