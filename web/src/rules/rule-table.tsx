import { msg } from "../messages/messages";
export const has = (find: string, ...texts: (string | number | undefined)[]) =>
  find
    .toLowerCase()
    .split(/\s+/)
    .every((w) => texts.join(" ").toLowerCase().includes(w));

export function Table({ heads, rows }: { heads: string[]; rows: React.ReactNode[][] }) {
  return (
    <table className="w-full text-left align-top">
      <thead className="bg-ground sticky top-0">
        <tr className="lab">
          {heads.map((h) => (
            <th key={h} className="px-4 py-2">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((r, i) => (
          <tr key={i} className="border-b border-hair align-top">
            {r.map((c, k) => (
              <td key={k} className="px-4 py-2.5">
                {c}
              </td>
            ))}
          </tr>
        ))}
        {rows.length === 0 && (
          <tr>
            <td className="p-4 text-20" colSpan={heads.length}>
              {msg("Nothing in this part of the book says that: try another word.")}
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}
