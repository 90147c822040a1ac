import { byAdded, type Comment } from '@kotiva/core';
import { View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { FileList } from './file-list.tsx';
import { hostOfRemark } from './host.ts';

/** What came with a remark. */
export function RemarkFiles({ comment }: { comment: Comment }) {
  const { rows, me } = useOpenHouse();
  const files = rows
    .by('attachment', 'itemId', comment.itemId)
    .filter(({ commentId, removedAt }) => commentId === comment.id && removedAt === null)
    .sort(byAdded);
  if (files.length === 0) return null;
  return (
    <View className="gap-2 pt-1">
      <FileList files={files} host={hostOfRemark(comment, me)} onDraw={null} />
    </View>
  );
}
