import { SMTPServer } from 'smtp-server';
import { database } from '@/data/database';
import { insertStandInMail } from '@/data/mail';

/** More than any message of ours. */
const MOST_BYTES = 1_000_000;

/**
 * A simulated mail server on 127.0.0.1 that takes everything and delivers nothing: what it took is seen in Shop. An address
 * that begins with “bounce” is refused, so that a failed delivery can be seen too. Another server of ours may have the port
 * already: then that one takes.
 * @param port 0 for any that is free
 * @returns the port it has, and what closes it
 */
export function openMailStandIn(port: number): Promise<{ port: number; close: () => Promise<void> }> {
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    size: MOST_BYTES,
    onAuth: (_auth, _session, done) => done(null, { user: 'shop' }),
    onRcptTo: ({ address }, _session, done) =>
      done(address.startsWith('bounce') ? new Error('550 No such mailbox') : null),
    onData(stream, session, done) {
      const pieces: Buffer[] = [];
      stream.on('data', (piece: Buffer) => pieces.push(piece));
      stream.on('end', () => {
        const recipients = session.envelope.rcptTo.map((r) => r.address);
        insertStandInMail(database(), recipients, Buffer.concat(pieces).toString()).then(
          () => done(),
          (error: Error) => done(error),
        );
      });
    },
  });
  return new Promise((opened, failed) => {
    server.on('error', (error) => {
      if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE') opened({ port, close: async () => {} });
      else failed(error);
    });
    const listening = server.listen(port, '127.0.0.1', () => {
      const address = listening.address();
      opened({
        port: typeof address === 'object' && address !== null ? address.port : port,
        close: () => new Promise((closed) => server.close(closed)),
      });
    });
  });
}
