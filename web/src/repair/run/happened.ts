import { now as serverNow } from "../../api/clock";
import { type BenchEvent, outbox } from "./outbox";

/** What happened, kept at once and sent by itself. */
export function happened(repair: number, kind: BenchEvent["kind"], more: Partial<BenchEvent> = {}): void {
  outbox.push(repair, { id: crypto.randomUUID(), kind, at: new Date(serverNow()).toISOString(), ...more });
}
