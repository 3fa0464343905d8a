import type { Api } from "../../api/client";

export type Role = Api["StackLine"]["role"];

const ROLE: Record<Role, string> = {
  REMOVE: "Residue off",
  WASH: "Wash",
  CLEAN: "Clean",
  WIPE: "Wipe",
  CONVERT: "Rust converter",
  HOLD: "Tape",
  PRIME: "Prime",
  PROMOTE_PATCH: "Patch promoter",
  PROMOTE: "Promote",
  CEMENT: "Cement",
  FILM: "Film",
  BACK: "Back",
  REINFORCE: "Reinforce",
  SHIELD: "Shield",
  FILL: "Fill",
  ACTIVATE: "Activate",
  FINISH: "Finish",
  PINHOLE: "Pinholes",
  SEAL: "Seal",
  TEXTURE: "Texture",
  COLOUR: "Colour",
  POLISH: "Polish",
  BOARD: "Board",
  TACK: "Tack",
  SURFACE: "Surfacer",
  GUIDE: "Guide coat",
  PAPER: "Papers",
};

/** A role as said at the bench. */
export const roleWord = (role: Role) => ROLE[role];
