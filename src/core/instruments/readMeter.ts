import { lineSplitter, MeterLineError, parseMeterLine, type MeterReading } from './lineProtocol';

/** As much of a serial port as is used: what the browser's Web Serial gives, and what a simulated one does. */
export interface MeterPort {
  readable: ReadableStream<Uint8Array>;
}

/**
 * The next whole reading of a quantity from an instrument; lines of other quantities and garbled ones are passed over.
 * @throws MeterLineError when the instrument falls silent before one came; whatever the port itself throws
 */
export async function nextReading(
  port: MeterPort,
  quantity: MeterReading['quantity'],
  stop: AbortSignal,
): Promise<MeterReading> {
  const reader = port.readable.getReader();
  const decoder = new TextDecoder('ascii');
  const split = lineSplitter();
  const cancel = () => void reader.cancel().catch(() => undefined);
  stop.addEventListener('abort', cancel);
  try {
    for (;;) {
      const { value, done } = await reader.read();
      if (done) throw new MeterLineError(stop.aborted ? 'Stopped.' : 'The instrument fell silent.');
      for (const line of split(decoder.decode(value, { stream: true }))) {
        const reading = tryLine(line);
        if (reading?.quantity === quantity) return reading;
      }
    }
  } finally {
    stop.removeEventListener('abort', cancel);
    reader.releaseLock();
  }
}

function tryLine(line: string): MeterReading | null {
  try {
    return parseMeterLine(line);
  } catch (error) {
    if (error instanceof MeterLineError) return null;
    throw error;
  }
}
