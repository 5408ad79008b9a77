import { NotHere } from '@/ui/parts/NotHere';

export default function NotFound() {
  return (
    <main>
      <NotHere />
    </main>
  );
}
