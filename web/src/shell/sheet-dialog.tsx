import { msg } from "../messages/messages";
import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import type { ReactNode } from "react";

/** A sheet laid over the screen; Escape and the cross put it away. */
export function SheetDialog({
  title,
  told,
  children,
  trigger,
  open,
  onOpenChange,
  wide = false,
}: {
  title: string;
  told?: string;
  children: ReactNode;
  trigger?: ReactNode;
  open?: boolean;
  onOpenChange?: (open: boolean) => void;
  wide?: boolean;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      {trigger && <Dialog.Trigger asChild>{trigger}</Dialog.Trigger>}
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-[#14201d]/60" />
        <Dialog.Content
          className={`firm bg-sheet fixed top-1/2 left-1/2 z-50 max-h-[92vh] -translate-x-1/2 -translate-y-1/2 overflow-auto ${wide ? "w-[min(860px,96vw)]" : "w-[min(520px,96vw)]"}`}
          {...(told ? {} : { "aria-describedby": undefined })}
        >
          <div className="firm-b bg-ground flex items-center justify-between pl-5">
            <Dialog.Title className="text-20 font-semibold">{title}</Dialog.Title>
            <Dialog.Close className="firm-l grid size-14 place-items-center" aria-label={msg("Close")}>
              <X aria-hidden="true" />
            </Dialog.Close>
          </div>
          <div className="p-5">
            {told && <Dialog.Description className="mb-4">{told}</Dialog.Description>}
            {children}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
