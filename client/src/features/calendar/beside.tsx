import { View } from 'react-native';

/** The day's list right of the month where there is room, else below it. */
export function Beside({ wide, list, children }: { wide: boolean; list: React.ReactNode; children: React.ReactNode }) {
  if (!wide)
    return (
      <>
        <View className="px-2">{children}</View>
        {list}
      </>
    );
  return (
    <View className="flex-row gap-6 px-4">
      <View className="min-w-0 grow shrink basis-0">{children}</View>
      <View className="w-[420px]">{list}</View>
    </View>
  );
}
