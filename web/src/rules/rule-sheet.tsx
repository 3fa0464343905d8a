import { Tabs } from "radix-ui";

export function Sheet({ value, children }: { value: string; children: React.ReactNode }) {
  return (
    <Tabs.Content value={value} className="min-h-0 flex-1 overflow-y-auto">
      {children}
    </Tabs.Content>
  );
}
