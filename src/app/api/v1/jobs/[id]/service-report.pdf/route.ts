import { answer } from '@/app/answer';
import { download } from '@/app/download';
import { jobNumber } from '@/app/jobNumber';
import { serviceReportPdf } from '@/shop/serviceReport/serviceReport';
import { LONGEST_PAPER_MS } from '@/shop/underWay/underWay';

export const GET = answer<{ params: Promise<{ id: string }> }>(async (_request, { params }) => {
  const { name, bytes } = await serviceReportPdf(jobNumber((await params).id));
  return download(
    bytes as Uint8Array<ArrayBuffer>,
    'application/pdf',
    `${name.replace(/[^A-Za-z0-9-]/g, '')}.pdf`,
    true,
  );
}, LONGEST_PAPER_MS);
