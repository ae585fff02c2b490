import { useRef, useState } from "react";

/**
 * A box whose words somebody else may change meanwhile: what is typed stands until the box is left, and says what it was typed over.
 * @param onDone what was typed, trimmed, where it is other than what stood there when the typing began
 */
export function useTypedOver(value: string, onDone: (to: string, was: string) => void) {
  const [typed, setTyped] = useState<string>();
  const was = useRef(value);
  return {
    value: typed ?? value,
    onFocus: () => {
      was.current = value;
      setTyped(value);
    },
    onChange: ({ target }: { readonly target: { readonly value: string } }) => setTyped(target.value),
    onBlur: () => {
      if (typed !== undefined && typed.trim() !== was.current) onDone(typed.trim(), was.current);
      setTyped(undefined);
    },
  };
}
