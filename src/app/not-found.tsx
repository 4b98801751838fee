import { WayBack } from '@/features/top-bar/WayBack';

export default function NotFound() {
  return (
    <WayBack
      title="There is no such page"
      detail="The address may have been typed wrongly or be from another version."
    />
  );
}
