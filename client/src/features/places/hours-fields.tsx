import { DAY_CODES, hoursText, plainHours, type DayCode, type HoursRow } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, ErrorLine, Field, MomentInput, Toggles, Txt } from '@/ui';
import { t } from '@/words';
import { sayDayCode } from './hours-words.ts';

const WORKDAYS: readonly DayCode[] = DAY_CODES.slice(0, 5);
const USUAL: HoursRow = { days: WORKDAYS, from: '09:00', to: '17:00' };

interface HoursFieldsProps {
  value: string;
  error: string | null;
  onChange: (text: string) => void;
}

/** Opening hours from plain choices: days, from, to. What is more than that can be written out. */
export function HoursFields({ value, error, onChange }: HoursFieldsProps) {
  const [rows, setRows] = useState<readonly HoursRow[] | null>(() => plainHours(value));
  const change = (next: readonly HoursRow[]) => {
    setRows(next);
    onChange(hoursText(next.filter(({ from, to }) => from && to)));
  };
  if (rows === null) {
    return (
      <View className="gap-2">
        <Field
          label={t('hours.written')}
          hint={t('hours.writtenHint')}
          value={value}
          onChangeText={onChange}
          error={error}
          maxLength={255}
          autoCapitalize="none"
        />
        {plainHours(value) === null ? null : (
          <View className="items-start">
            <Button kind="quiet" onPress={() => setRows(plainHours(value))}>
              {t('hours.choose')}
            </Button>
          </View>
        )}
      </View>
    );
  }
  return (
    <View className="gap-3">
      <Txt size={15} face="medium" tone="muted">
        {t('hours.title')}
      </Txt>
      {rows.map((row, nth) => (
        <OneRow
          key={nth}
          row={row}
          nth={nth + 1}
          onChange={(changed) => change(rows.map((one, at) => (at === nth ? changed : one)))}
          onRemove={() => change(rows.filter((_, at) => at !== nth))}
        />
      ))}
      <ErrorLine says={error} />
      <View className="flex-row flex-wrap gap-2">
        <Button onPress={() => change([...rows, rows.length === 0 ? USUAL : { days: ['Sa'], from: '10:00', to: '14:00' }])}>
          {rows.length === 0 ? t('hours.add') : t('hours.addMore')}
        </Button>
        <Button kind="quiet" onPress={() => setRows(null)}>
          {t('hours.write')}
        </Button>
      </View>
    </View>
  );
}

function OneRow({ row, nth, onChange, onRemove }: { row: HoursRow; nth: number; onChange: (row: HoursRow) => void; onRemove: () => void }) {
  const { days, from, to } = row;
  return (
    <View role="group" aria-label={t('hours.row', { nth })} className="gap-2 border-b border-line pb-3">
      <Toggles
        label={t('hours.days', { nth })}
        on={days}
        options={DAY_CODES.map((value) => ({ value, words: sayDayCode(value) }))}
        onChange={(on) => onChange({ ...row, days: DAY_CODES.filter((code) => on.includes(code)) })}
      />
      <View className="flex-row flex-wrap items-end gap-3">
        <MomentInput label={t('hours.from', { nth })} kind="time" value={from} onChange={(value) => onChange({ ...row, from: value })} />
        <MomentInput label={t('hours.to', { nth })} kind="time" value={to} onChange={(value) => onChange({ ...row, to: value })} />
        <Button kind="quiet" label={t('hours.removeNth', { nth })} onPress={onRemove}>
          {t('hours.remove')}
        </Button>
      </View>
    </View>
  );
}
