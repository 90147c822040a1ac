import { COLOURS, PATTERNS, type Colour } from '@kotiva/core';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import {
  Band,
  Button,
  Choice,
  Empty,
  Field,
  Fold,
  GroupHead,
  Heading,
  Icon,
  KNOT_STATES,
  Knot,
  KnotMark,
  Menu,
  MomentInput,
  NoticeBar,
  PersonMark,
  Row,
  Sheet,
  Switch,
  Tappable,
  Thread,
  Txt,
  WovenSign,
  type Strand,
} from '@/ui';
import { useTheme } from '@/ui/theme.tsx';

/** Every part of the design system in every state: where they are looked at and tested. Its own words are for its makers only. */
export function WorkbenchScreen() {
  return (
    <ScrollView className="h-full bg-ground" contentContainerClassName="gap-6 p-4 lg:p-7" role="main">
      <Heading level={1}>Workbench</Heading>
      <Themes />
      <View className="gap-6 lg:grid lg:grid-cols-2">
        <Part name="Knots">
          <Knots />
        </Part>
        <Part name="Threads and bands">
          <ThreadsAndBands />
        </Part>
        <Part name="People">
          <People />
        </Part>
        <Part name="Text and tones">
          <Texts />
        </Part>
        <Part name="Rows">
          <Rows />
        </Part>
        <Part name="Controls">
          <Controls />
        </Part>
        <Part name="Fields">
          <Fields />
        </Part>
        <Part name="Said and empty">
          <Said />
        </Part>
      </View>
    </ScrollView>
  );
}

function Part({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <View className="gap-3 rounded-sheet border border-line bg-surface p-4">
      <Heading level={2}>{name}</Heading>
      {children}
    </View>
  );
}

function Themes() {
  const { theme, setTheme } = useTheme();
  return <Choice label="Theme" value={theme} onChange={setTheme} options={(['device', 'light', 'dark'] as const).map((value) => ({ value, words: value }))} />;
}

function Knots() {
  const [tied, setTied] = useState(false);
  return (
    <>
      {KNOT_STATES.map((state) => (
        <View key={state} className="flex-row items-center gap-4 border-b border-line py-1">
          <KnotMark state={state} colour="slate" size={30} />
          <KnotMark state={state} colour="rust" />
          <Txt>{state}</Txt>
        </View>
      ))}
      <View className="flex-row items-center gap-2">
        <Knot state={tied ? 'done' : 'taken'} colour="petrol" mark="Ai" label="Tie it" onTie={() => setTied(!tied)} />
        <Knot state="seen" colour="olive" label="Not one's own" disabled onTie={() => undefined} />
        <Txt>tie and untie; not one’s own</Txt>
      </View>
    </>
  );
}

const strand = (key: string, state: Strand['state'], colour: Colour): Strand => ({ key, state, colour, mark: key });

function ThreadsAndBands() {
  const three = [strand('Oo', 'done', 'plum'), strand('Le', 'seen', 'slate'), strand('Ee', 'unseen', 'rust')];
  const many = [
    ...three,
    strand('Ta', 'taken', 'umber'),
    strand('No', 'underway', 'olive'),
    strand('Ma', 'asked', 'moss'),
    strand('He', 'declined', 'aubergine'),
  ];
  return (
    <>
      <Thread strands={three} each label="each of three" />
      <Thread strands={three.slice(0, 2)} each={false} label="any of two" />
      <Thread strands={three} each late label="late" />
      <Thread strands={many} each label="more than fit" />
      {[0, 0.3, 0.6, 1, 1.4].map((share) => (
        <View key={share} className="flex-row items-center gap-3">
          <Band share={share} width={180} height={14} />
          <Txt face="medium">{Math.round(share * 10)} of 10</Txt>
        </View>
      ))}
    </>
  );
}

function People() {
  return (
    <View className="flex-row flex-wrap gap-2">
      {COLOURS.flatMap((colour, index) =>
        [0, 1].map((turn) => (
          <PersonMark
            key={`${colour}${turn}`}
            looks={{ mark: colour.slice(0, 2), colour, pattern: PATTERNS[(index + turn * 3) % PATTERNS.length]! }}
            size={turn ? 28 : 36}
          />
        )),
      )}
    </View>
  );
}

function Texts() {
  return (
    <>
      {([34, 26, 20, 17, 15, 13] as const).map((size) => (
        <Txt key={size} size={size} face={size > 20 ? 'title' : 'read'}>
          {size} The quay at dawn
        </Txt>
      ))}
      {(['muted', 'pine', 'late', 'waits', 'plan', 'chore'] as const).map((tone) => (
        <Txt key={tone} tone={tone} face="medium">
          {tone}
        </Txt>
      ))}
    </>
  );
}

function Rows() {
  const knot = <Knot state="taken" colour="petrol" label="Tie" onTie={() => undefined} />;
  return (
    <View className="-mx-4">
      <GroupHead title="A group" count={3} />
      <Row
        title="Send the lodging form"
        sub="Office"
        right="3 days late"
        rightTone="late"
        first="very important"
        isStrong
        lead={knot}
        onPress={() => undefined}
      />
      <Row
        title="A title so long that it must wrap onto a second line and then end in three dots because there is no more room for it here"
        sub="Boathouse · step 2 of 5"
        right="tomorrow 17:00"
        lead={knot}
      />
      <Row title="Call the engine workshop" sub="done 09:40" done lead={<Knot state="done" colour="petrol" label="Untie" onTie={() => undefined} />} />
      <Fold words="2 more">
        <Row title="Folded away" />
      </Fold>
    </View>
  );
}

function Controls() {
  const [on, setOn] = useState(true);
  const [open, setOpen] = useState(false);
  return (
    <View className="gap-3">
      <View className="flex-row flex-wrap items-center gap-2">
        <Button kind="main" onPress={() => setOpen(true)}>
          Hand over
        </Button>
        <Button onPress={() => undefined}>Can’t</Button>
        <Button kind="quiet" onPress={() => undefined}>
          Undo
        </Button>
        <Button disabled onPress={() => undefined}>
          Not now
        </Button>
        <Menu
          label="More"
          entries={[
            { key: 'a', words: 'Up', onPress: () => undefined },
            { key: 'b', words: 'Remove', late: true, onPress: () => undefined },
          ]}
        />
        <WovenSign on />
        <Icon name="anchor" />
      </View>
      <Txt size={20}>
        <Tappable onPress={() => undefined}>Leila and Noor</Tappable>, <Tappable onPress={() => undefined}>each</Tappable>,{' '}
        <Tappable faint onPress={() => undefined}>
          by when?
        </Tappable>
      </Txt>
      <Switch words="I want to see it when it is done" on={on} onChange={setOn} />
      <Sheet
        open={open}
        onClose={() => setOpen(false)}
        title="A sheet"
        closeLabel="Close"
        head={<Heading level={2}>A sheet</Heading>}
        foot={<Button onPress={() => setOpen(false)}>Done</Button>}
      >
        <Txt>What it holds.</Txt>
      </Sheet>
    </View>
  );
}

function Fields() {
  const [words, setWords] = useState('');
  const [day, setDay] = useState('2026-11-27');
  return (
    <View className="gap-3">
      <Field label="Name" value={words} onChangeText={setWords} hint="What others see." />
      <Field label="Wrong" value={words} onChangeText={setWords} error="Write at least one word." />
      <Field label="Longer" value={words} onChangeText={setWords} multiline />
      <MomentInput label="Day" kind="date" value={day} onChange={setDay} />
    </View>
  );
}

function Said() {
  return (
    <View className="gap-3">
      <NoticeBar words="Checked off by Noor." action="Undo" onAction={() => undefined} />
      <NoticeBar words="You may not do this here." tone="refused" />
      <Empty words="Lists keep what belongs together." action="New list" onAction={() => undefined} />
    </View>
  );
}
