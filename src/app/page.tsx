import { Floor } from '@/features/floor/Floor';

export default function Page() {
  return <Floor />;
}
