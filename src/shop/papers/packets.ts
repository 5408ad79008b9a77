/** So many rows at once come out of a thread: as text, which costs the receiver nothing until it is read. */
const PACKET_ROWS = 1000;

/** Rows as packets of text. */
export function inPackets(rows: readonly object[]): string[] {
  const packets: string[] = [];
  for (let i = 0; i < rows.length; i += PACKET_ROWS) packets.push(JSON.stringify(rows.slice(i, i + PACKET_ROWS)));
  return packets;
}

/** The rows of packets, unpacked one packet at a time, each made into what is wanted of it. */
export function* outOfPackets<Row, Made = Row>(
  packets: readonly string[],
  make: (row: Row) => Made = (row) => row as unknown as Made,
): Generator<Made> {
  for (const packet of packets) for (const row of JSON.parse(packet) as Row[]) yield make(row);
}
