import { WayBack } from '@/features/bike/WayBack';

export default function NotFound() {
  return (
    <WayBack
      title="There is no such page"
      detail="The address may have been typed wrongly or be from another version."
    />
  );
}
