/** What can be done about a notice without opening the application. */
export type NoticeAct = 'take' | 'done' | 'snooze' | 'answer';

/** What is pushed to a device: the words, what they are about, what can be done at once. */
export interface PushMessage {
  /** The notice's id: a second one replaces the first. */
  tag: string;
  title: string;
  body: string;
  houseId: string;
  noticeId: string;
  itemId: string | null;
  acts: readonly NoticeAct[];
}
