import type { Api } from "../api/client";
import { useSession } from "../api/queries";

/** The signed-in person; only asked for behind the door. */
export function useMe() {
  const account = useSession().data?.account;
  if (!account) throw new Error("nobody is signed in");
  return account;
}

/** Whether the signed-in person may do something; the server has the table and holds everything against it. */
export function useMay(right: Api["Session"]["rights"][number]): boolean {
  return useSession().data?.rights.includes(right) ?? false;
}
