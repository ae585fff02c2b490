import { useState } from "react";
import { NavLink, useRevalidator } from "react-router";
import { t } from "../../core/language/t.ts";
import { call } from "../api/call.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { useDeskData } from "../desk/useDeskData.ts";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import { DeskAccess } from "./DeskAccess.tsx";

/** Who may see everything, and who may open the desk from another machine. */
export function Access() {
  const { watchToken, hasPasscode } = useDeskData();
  const store = useDeskStore();
  const { revalidate } = useRevalidator();
  const [typed, setTyped] = useState("");
  const save = async (passcode: string) => {
    const answer = await call("/passcode", { passcode });
    if ("problem" in answer) {
      store.say("trouble", answer.problem.sentence);
      return;
    }
    setTyped("");
    store.say("word", passcode === "" ? t`No passcode opens the desk any more.` : t`The passcode is set.`);
    await revalidate();
  };
  return (
    <section
      aria-label={t`Who may see and do`}
      className="mt-6 flex flex-col gap-3 border-t border-edge pt-4 text-[15px]"
    >
      <h2 className="font-semibold">{t`All screens at a glance`}</h2>
      <p className="flex flex-wrap items-center gap-3">
        <a
          className="text-act hover:underline"
          href={`/watch/${watchToken}`}
          target="_blank"
          rel="noopener noreferrer"
        >
          {t`Open the multi-view`}
        </a>
        <button
          type="button"
          title={t`The old link ends at once`}
          className="min-h-8 rounded-md bg-lifted px-3 hover:bg-edge"
          onClick={() => void call("/screens-link", { kind: "renewWatch" }).then(() => void revalidate())}
        >
          {t`New link`}
        </button>
      </p>
      <p className="text-second">{t`Whoever has its link sees everything and can do nothing.`}</p>
      <h2 className="mt-2 font-semibold">{t`The desk from another machine`}</h2>
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void save(typed);
        }}
      >
        <Labelled
          id="passcode"
          label={hasPasscode ? t`Another passcode` : t`A passcode, six characters or more`}
        >
          <input
            id="passcode"
            type="password"
            autoComplete="new-password"
            value={typed}
            maxLength={200}
            onChange={(event) => setTyped(event.target.value)}
            className={`${fieldClass} text-[16px]`}
          />
        </Labelled>
        <button
          type="submit"
          disabled={typed.length < 6}
          className="min-h-10.5 rounded-md bg-lifted px-3 hover:bg-edge disabled:text-quiet"
        >
          {t`Set`}
        </button>
        {hasPasscode && (
          <button
            type="button"
            onClick={() => void save("")}
            className="min-h-10.5 rounded-md bg-lifted px-3 hover:bg-edge"
          >
            {t`None`}
          </button>
        )}
      </form>
      <p className="text-second">
        {t`${hasPasscode ? t`One is set` : t`None is set`}. It is asked for at /enter when the server listens on a network address (--host); on this machine it is not. Another passcode shows all other browsers out.`}
      </p>
      <DeskAccess hasPasscode={hasPasscode} />
      <h2 className="mt-2 font-semibold">{t`The server`}</h2>
      <p>
        <NavLink className="text-act hover:underline" to="/health">
          {t`How the server and its disk do`}
        </NavLink>
      </p>
    </section>
  );
}
