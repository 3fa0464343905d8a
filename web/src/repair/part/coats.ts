import type { Api } from "../../api/client";

/** The coats of a factory finish on sheet metal. */
const FACTORY: Api["CoatDraft"][] = [
  { kind: "E_COAT" },
  { kind: "PRIMER_SURFACER" },
  { kind: "BASE" },
  { kind: "CLEAR" },
];

/** The coats that a part of {@code material} has until something else is said. */
export function coatsOf(material: NonNullable<Api["SubstrateDraft"]["material"]>): Api["CoatDraft"][] {
  return material === "METAL" ? FACTORY : material === "FILM" ? FACTORY.slice(1) : [];
}
