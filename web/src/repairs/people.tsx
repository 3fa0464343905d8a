import { msg } from "../messages/messages";
import { KeyRound, UserPlus } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { ask, type Api } from "../api/client";
import { queryClient, useTold } from "../api/queries";
import { Choice, Line, problemAt } from "../shell/field";
import { FormDialog } from "../shell/form-dialog";
import { useTitle } from "../shell/title";

export const PEOPLE = ["people"] as const;

export const ROLES: { value: Api["Account"]["role"]; label: string }[] = [
  { value: "TECHNICIAN", label: msg("Technician") },
  { value: "LEAD", label: msg("Lead") },
  { value: "APPRENTICE", label: msg("Apprentice") },
  { value: "SCREEN", label: msg("Screen on the wall") },
];

/** Who can sign in; for a lead. */
export default function PeoplePlace() {
  useTitle(msg("People"));
  const people = useTold({ queryKey: PEOPLE, queryFn: () => ask<Api["Account"][]>("/api/people") });
  return (
    <>
      <div className="firm-b flex min-h-[58px] shrink-0 flex-wrap items-stretch">
        <h1 className="flex flex-1 items-center px-4 text-28 font-semibold" style={{ fontStretch: "88%" }}>
          {msg("People")}
        </h1>
        <AddPerson />
        <Link to="/server" className="firm-l n flex min-h-14 items-center px-5 text-20 font-semibold">
          {msg("Server")}
        </Link>
        <Link to="/audit" className="firm-l n flex min-h-14 items-center px-5 text-20 font-semibold">
          {msg("Audit")}
        </Link>
        <Link to="/records" className="firm-l n flex min-h-14 items-center px-5 text-20 font-semibold">
          {msg("Records")}
        </Link>
      </div>
      <div
        className="min-h-0 flex-1 overflow-y-auto px-4 pb-4"
        tabIndex={0}
        role="region"
        aria-label={msg("People of the shop")}
      >
        {people.isError && (
          <p role="alert" className="py-4 text-20 font-bold text-oxide-text">
            {people.error.message}
          </p>
        )}
        {people.data && (
          <table className="w-full text-left">
            <thead>
              <tr className="lab firm-b">
                <th className="py-2 pr-4">{msg("Name")}</th>
                <th className="pr-4">{msg("Signs in as")}</th>
                <th className="pr-4">{msg("Role")}</th>
                <th className="sr-only">{msg("Password")}</th>
              </tr>
            </thead>
            <tbody>
              {people.data.map((p) => (
                <tr key={p.id} className="border-b border-hair">
                  <td className="hd py-1.5 pr-4">{p.name}</td>
                  <td className="n pr-4">{p.id}</td>
                  <td className="pr-4">{ROLES.find((r) => r.value === p.role)?.label}</td>
                  <td className="py-1.5 text-right">
                    <NewPassword person={p} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <p className="lab mt-3">
          {msg("Nobody is taken away, since records name them: who has left gets a new password that nobody is told.")}
        </p>
      </div>
    </>
  );
}

/** Somebody more. */
export function AddPerson() {
  const [draft, setDraft] = useState<Api["PersonDraft"]>({});
  const set = (next: Api["PersonDraft"]) => setDraft((d) => ({ ...d, ...next }));
  return (
    <FormDialog
      title={msg("Somebody new")}
      told={msg("They sign in with this name and password; the password is shown here only while you type it.")}
      act={msg("Add to the shop")}
      trigger={
        <button type="button" className="firm-l n flex min-h-14 items-center gap-2 px-5 text-20 font-semibold">
          <UserPlus size={20} aria-hidden="true" /> {msg("Add")}
        </button>
      }
      send={async () => {
        await ask("/api/people", { method: "POST", body: draft });
        await queryClient.invalidateQueries({ queryKey: PEOPLE });
        setDraft({});
      }}
    >
      {(problems) => (
        <>
          <Line
            label={msg("Name")}
            value={draft.name ?? ""}
            problem={problemAt(problems, "person.name")}
            onChange={(name) => set({ name })}
          />
          <Line
            label={msg("Signs in as")}
            value={draft.id ?? ""}
            problem={problemAt(problems, "person.id")}
            onChange={(id) => set({ id })}
          />
          <div>
            <Choice label={msg("Role")} value={draft.role} options={ROLES} onChange={(role) => set({ role })} />
            {problemAt(problems, "person.role") && (
              <p className="text-oxide-text mt-1 text-14 font-bold">{problemAt(problems, "person.role")}</p>
            )}
          </div>
          <Line
            label={msg("Password")}
            value={draft.password ?? ""}
            problem={problemAt(problems, "person.password")}
            onChange={(password) => set({ password })}
          />
        </>
      )}
    </FormDialog>
  );
}

function NewPassword({ person }: { person: Api["Account"] }) {
  const [password, setPassword] = useState("");
  return (
    <FormDialog
      title={msg("New password for {name}", { name: person.name })}
      told={msg("Whoever is signed in with the old one is out at once.")}
      act={msg("Take this password")}
      below={<FactorOff person={person} />}
      trigger={
        <button type="button" className="btn" aria-label={msg("New password for {name}", { name: person.name })}>
          <KeyRound size={20} aria-hidden="true" /> {msg("New password")}
        </button>
      }
      send={async () => {
        await ask(`/api/people/${encodeURIComponent(person.id)}/password`, { method: "PUT", body: { password } });
        setPassword("");
      }}
    >
      {(problems) => (
        <>
          <Line
            label={msg("Password")}
            value={password}
            problem={problemAt(problems, "person.password")}
            onChange={setPassword}
          />
        </>
      )}
    </FormDialog>
  );
}

/** For somebody whose phone is gone. */
function FactorOff({ person }: { person: Api["Account"] }) {
  const [said, setSaid] = useState("");
  const off = async () => {
    try {
      await ask(`/api/people/${encodeURIComponent(person.id)}/factor`, { method: "DELETE" });
      setSaid(msg("{name} signs in with the password alone now.", { name: person.name }));
    } catch (e) {
      setSaid(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <div className="mt-4">
      <button type="button" className="btn w-full" onClick={() => void off()}>
        {msg("Phone gone: second factor off")}
      </button>
      {said && (
        <p role="status" className="mt-1 font-semibold">
          {said}
        </p>
      )}
    </div>
  );
}
