import { useState } from "react";
import { t } from "../../core/language/t.ts";
import { REMOTE_RIGHTS, REMOTE_VIEWS, type RemoteLink } from "../../core/remote/remoteLink.ts";
import { useDesk } from "../desk/deskContext.ts";
import { LinkEndChoice } from "../desk/LinkEnd.tsx";
import { CheckBox } from "../ui/CheckBox.tsx";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import { CAN_WORDS, VIEW_WORDS } from "./words.ts";

/** Whose phone it is, what it may do, what it shows. */
export function PhoneForm({
  link: told,
  onChange,
}: {
  link: RemoteLink;
  onChange: (link: RemoteLink) => void;
}) {
  const { outputs } = useDesk("outputs");
  // What is chosen quickly is built on what was chosen before, told back or not.
  const [link, setLink] = useState(told);
  const change = (part: Partial<RemoteLink>) => {
    const next = { ...link, ...part };
    setLink(next);
    onChange(next);
  };
  return (
    <>
      <h2 className="text-[17px] font-semibold">{t`What this phone may do`}</h2>
      <Labelled id="phone-name" label={t`Who has it`}>
        <input
          id="phone-name"
          defaultValue={link.name}
          maxLength={40}
          onBlur={({ target }) => {
            const name = target.value.trim();
            if (name === "") target.value = link.name;
            else if (name !== link.name) change({ name });
          }}
          onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
          className={fieldClass}
        />
      </Labelled>
      <Choice
        name={t`Whoever has it`}
        words={CAN_WORDS}
        values={REMOTE_RIGHTS}
        value={link.can}
        onChange={(can) => change({ can })}
      />
      <Choice
        name={t`It shows`}
        words={VIEW_WORDS}
        values={REMOTE_VIEWS}
        value={link.view}
        onChange={(view) => change({ view })}
      />
      {link.can !== "look" && (
        <CheckBox
          label={t`A take is held for half a second`}
          isOn={link.isHeld}
          onChange={(isHeld) => change({ isHeld })}
        />
      )}
      <LinkEndChoice id="phone-end" untilMs={link.untilMs} onChange={(untilMs) => change({ untilMs })} />
      <Labelled id="phone-screen" label={t`Its small pictures are of`}>
        <select
          id="phone-screen"
          value={outputs.some(({ id }) => id === link.outputId) ? link.outputId : ""}
          onChange={({ target }) => change({ outputId: target.value })}
          className={fieldClass}
        >
          <option value="">{t`the first screen`}</option>
          {outputs.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </Labelled>
    </>
  );
}

function Choice<T extends string>({
  name,
  words,
  values,
  value,
  onChange,
}: {
  name: string;
  words: Readonly<Record<T, string>>;
  values: readonly T[];
  value: T;
  onChange: (value: T) => void;
}) {
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="mb-1 text-[15px] text-second">{name}</legend>
      {values.map((each) => (
        <label key={each} className="flex min-h-9 items-center gap-2.5 text-[15px]">
          <input
            type="radio"
            name={name}
            checked={each === value}
            onChange={() => onChange(each)}
            className="size-5 accent-act"
          />
          {words[each]}
        </label>
      ))}
    </fieldset>
  );
}
