import { msg } from "../../messages/messages";
import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import type { Api } from "../../api/client";
import { DrawingPair } from "../drawing/drawing-pair";
import { litByStep, LitProvider } from "../drawing/lit";
import type { ZoneKind } from "../drawing/projection";
import type { SpotMark } from "../drawing/spot-marks";

/** Where the step in hand is done: the drawing over the whole glass. */
export function Where({
  drawing,
  step,
  around,
  spots,
  open,
  onOpenChange,
}: {
  drawing: Api["Drawing"];
  step: Api["Step"];
  around: ZoneKind;
  spots: readonly SpotMark[];
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Content className="bg-sheet fixed inset-0 z-50 flex flex-col" aria-describedby={undefined}>
          <div className="firm-b bg-ground flex h-[75px] shrink-0 items-center justify-between pl-4">
            <Dialog.Title className="min-w-0 truncate text-20 font-semibold sm:text-28">
              {msg("Where: {title}", { title: step.title })}
            </Dialog.Title>
            <Dialog.Close className="firm-l grid h-full w-[75px] shrink-0 place-items-center" aria-label={msg("Close")}>
              <X size={30} aria-hidden="true" />
            </Dialog.Close>
          </div>
          <div className="min-h-0 flex-1">
            <LitProvider fixed={litByStep(step)}>
              <DrawingPair drawing={drawing} sectionShare={0.42} around={around} spots={spots} />
            </LitProvider>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
