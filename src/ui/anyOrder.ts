/** Options whose words answer to every word typed, in any order. Example: "left ped" finds "Pedal, left". */
export function anyOrder<Option>(
  options: Option[],
  { inputValue, getOptionLabel }: { inputValue: string; getOptionLabel(option: Option): string },
): Option[] {
  const words = inputValue
    .toLowerCase()
    .split(/[\s,:]+/)
    .filter(Boolean);
  return options.filter((option) => {
    const label = getOptionLabel(option).toLowerCase();
    return words.every((word) => label.includes(word));
  });
}
