import { useCallback } from "react";
import type { Api } from "../../api/client";
import { useCatalogue } from "../../api/queries";

export type Role = Api["StackLine"]["role"];

/** Says a role of the stack as the catalogue has it. */
export function useRoleWord(): (role: Role) => string {
  const roles = useCatalogue().data?.roles;
  return useCallback((role: Role) => roles?.find((r) => r.role === role)?.word ?? "", [roles]);
}
