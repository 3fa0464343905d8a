import { useSession } from "../api/queries";

/** The signed-in person; only asked for behind the door. */
export function useMe() {
  const account = useSession().data?.account;
  if (!account) throw new Error("nobody is signed in");
  return account;
}
