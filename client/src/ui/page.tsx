import { ScrollView, View } from 'react-native';

/** A page by itself, outside the bars: signing in, joining, making a house. */
export function Page({ children }: { children: React.ReactNode }) {
  return (
    <ScrollView className="flex-1 bg-ground" contentContainerClassName="min-h-full items-center justify-center p-5" role="main">
      <View className="w-full max-w-[420px] gap-6">{children}</View>
    </ScrollView>
  );
}
