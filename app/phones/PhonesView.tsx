import { useState } from "react";
import { useRevalidator } from "react-router";
import { t } from "../../core/language/t.ts";
import type { RemoteLink } from "../../core/remote/remoteLink.ts";
import { call } from "../api/call.ts";
import type { Calls } from "../api/calls.ts";
import { newId } from "../api/newId.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { PhoneForm } from "./PhoneForm.tsx";
import { type PhoneLink, PhoneRow } from "./PhoneRow.tsx";

const OPERATOR: RemoteLink = {
  name: t`Second hand`,
  can: "all",
  view: "both",
  isHeld: false,
  outputId: "",
  untilMs: null,
};
const LEADER: RemoteLink = {
  name: t`Leader`,
  can: "next",
  view: "next",
  isHeld: true,
  outputId: "",
  untilMs: null,
};
const STAGE: RemoteLink = {
  name: t`Stage`,
  can: "look",
  view: "follow",
  isHeld: false,
  outputId: "",
  untilMs: null,
};

/** Phones that are remotes: whose they are, what they may do, and who is there now. */
export function PhonesView({ links }: { links: readonly PhoneLink[] }) {
  const { remotes } = useDesk("remotes");
  const store = useDeskStore();
  const { revalidate } = useRevalidator();
  const [editedId, setEditedId] = useState<string>();
  const edited = links.find(({ id }) => id === editedId);
  const act = async (wanted: Calls["/remote-link"]["sends"]) => {
    const answer = await call("/remote-link", wanted);
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    await revalidate();
    return "value" in answer ? answer.value : undefined;
  };
  const make = async (link: RemoteLink) => {
    const id = newId();
    if (await act({ kind: "make", id, link })) setEditedId(id);
  };
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_400px] max-[1100px]:grid-cols-1 max-[1100px]:grid-rows-[minmax(0,1fr)_minmax(0,40%)]">
      <main
        aria-label={t`Phones`}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        tabIndex={0}
        className="relative min-h-0 overflow-y-auto px-6 py-5"
      >
        <div className="mb-3 flex flex-wrap items-center gap-2.5">
          <h2 className="mr-auto text-[17px] font-semibold">{t`Phones as remotes`}</h2>
          <New onMake={() => void make(OPERATOR)}>{t`For the operator`}</New>
          <New onMake={() => void make(LEADER)}>{t`For the leader`}</New>
          <New onMake={() => void make(STAGE)}>{t`For the stage`}</New>
        </div>
        {links.length === 0 && (
          <p className="max-w-2xl text-[16px] text-second">
            {t`None yet. Make one for whoever holds a phone: it opens a page that shows what is on air and next, and lets its person do what you say and nothing else. You see here who is on, and can end any of them.`}
          </p>
        )}
        <ul className="flex max-w-4xl flex-col gap-3">
          {links.map((link) => (
            <PhoneRow
              key={link.id}
              link={link}
              open={remotes.filter(({ linkId }) => linkId === link.id).length}
              isEdited={link.id === editedId}
              onEdit={() => setEditedId(link.id === editedId ? undefined : link.id)}
              onCode={async () => (await act({ kind: "code", id: link.id }))?.code}
              onEnd={() => void act({ kind: "end", id: link.id })}
            />
          ))}
        </ul>
        <NoticeBar />
      </main>
      <aside
        aria-label={t`What this phone may do`}
        className="flex min-h-0 flex-col gap-4 overflow-y-auto border-l border-edge bg-raised px-5 py-5 *:flex-none max-[1100px]:border-t max-[1100px]:border-l-0"
      >
        {edited ? (
          <PhoneForm
            key={edited.id}
            link={edited.doc}
            onChange={(link) => void act({ kind: "change", id: edited.id, link })}
          />
        ) : (
          <p className="text-[15px] text-second">
            {links.length === 0
              ? t`What a phone shows and what it may do is said here, as soon as there is one.`
              : t`Choose “Change” beside a phone to say what it shows and what it may do. A change is there on the phone at once.`}
          </p>
        )}
      </aside>
    </div>
  );
}

function New({ onMake, children }: { onMake: () => void; children: string }) {
  return (
    <button
      type="button"
      onClick={onMake}
      className="min-h-10 rounded-lg bg-lifted px-4 text-[15px] hover:bg-edge"
    >
      {children}
    </button>
  );
}
