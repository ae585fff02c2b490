import { Dialog } from "radix-ui";
import type { ReactNode } from "react";

/** Asks how what was brought in is to lie on the canvas, with its picture above. */
export const BringDialog = ({
  title,
  facts,
  children,
  onClose,
}: {
  title: string;
  facts: string;
  children: ReactNode;
  onClose: () => void;
}) => (
  <Dialog.Root open onOpenChange={(isOpen) => !isOpen && onClose()}>
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 z-30 bg-black/60" />
      <Dialog.Content className="fixed top-1/2 left-1/2 z-40 flex max-h-[92vh] w-[560px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 flex-col gap-3 overflow-y-auto rounded-xl border border-edge-strong bg-raised p-5 shadow-2xl">
        <Dialog.Title className="truncate text-[18px] font-semibold">{title}</Dialog.Title>
        <Dialog.Description className="text-[15px] text-second">{facts}</Dialog.Description>
        {children}
      </Dialog.Content>
    </Dialog.Portal>
  </Dialog.Root>
);

export const plainButton = "min-h-10 rounded-lg bg-lifted px-4 text-[15px] hover:bg-edge disabled:text-quiet";
export const actButton =
  "min-h-10 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:font-normal disabled:text-quiet";
