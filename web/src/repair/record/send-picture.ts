import { useMutation } from "@tanstack/react-query";
import { ask, type Api } from "../../api/client";
import { keys, queryClient } from "../../api/queries";

type Picture = Api["Picture"];

const SENT_SIDE = 1600;

/** Upright and no larger than is kept: a camera's picture would take long to send from the shop floor. */
async function smaller(file: File): Promise<Blob> {
  const bitmap = await createImageBitmap(file, { imageOrientation: "from-image" }).catch(() => undefined);
  // What the browser cannot read is sent as it is: the server says what is wrong with it.
  if (!bitmap) return file;
  const scale = Math.min(1, SENT_SIDE / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.round(bitmap.width * scale);
  canvas.height = Math.round(bitmap.height * scale);
  canvas.getContext("2d")?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return new Promise((done) => canvas.toBlob((blob) => done(blob ?? file), "image/jpeg", 0.9));
}

/** A picture to send; the same `clientId` twice counts once. */
export interface Taken {
  file: File;
  moment: Picture["moment"];
  clientId: string;
  /** Step of the run that it is of. */
  step?: string;
}

/** Sends pictures of a repair; the last one can be sent again. */
export function useSendPicture(id: number) {
  const sending = useMutation({
    mutationFn: async ({ file, moment, clientId, step }: Taken) => {
      const at = new URLSearchParams({ moment, clientId, ...(step && { step }) });
      return ask<Picture[]>(`/api/repairs/${id}/pictures?${at.toString()}`, {
        method: "POST",
        body: await smaller(file),
      });
    },
    onSuccess: async (all, { step }) => {
      queryClient.setQueryData(keys.pictures(id), all);
      if (step) await queryClient.invalidateQueries({ queryKey: keys.run(id) });
    },
  });
  return { ...sending, again: () => sending.variables && sending.mutate(sending.variables) };
}
