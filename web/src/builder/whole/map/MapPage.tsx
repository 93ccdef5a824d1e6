export function MapPage({ item }: { item: string | undefined }) {
  return <main>{item}</main>;
}
