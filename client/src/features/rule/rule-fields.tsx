import { View } from 'react-native';
import { Field, LabelledChoice, LabelledToggles, MomentInput } from '@/ui';
import { t } from '@/words';
import { ordinal, sayShortOnly, weekdayChoices } from '@/words/rules.ts';
import { KINDS, NTHS, shortDay, withDate, withKind, withWeekdays, type RuleForm } from './rule-form.ts';

interface RuleFieldsProps {
  form: RuleForm;
  onChange: (form: RuleForm) => void;
}

/** How it comes back, by plain choices; any rule of RFC 5545 can be typed. */
export function RuleFields({ form, onChange }: RuleFieldsProps) {
  const set = (fields: Partial<RuleForm>) => onChange({ ...form, ...fields });
  return (
    <View className="gap-3">
      <LabelledChoice
        label={t('rule.kind')}
        value={form.kind}
        options={KINDS.map((value) => ({ value, words: t(`rule.kind.${value}`) }))}
        onChange={(kind) => onChange(withKind(form, kind))}
      />
      {form.kind === 'typed' ? (
        <Field
          label={t('rule.type')}
          placeholder="FREQ=WEEKLY;BYDAY=FR"
          autoCapitalize="characters"
          value={form.typed}
          onChangeText={(typed) => set({ typed })}
        />
      ) : (
        <View className="max-w-[220px]">
          <Field label={t(`rule.howMany.${form.kind}`)} inputMode="numeric" value={form.every} onChangeText={(every) => set({ every })} />
        </View>
      )}
      {form.kind === 'weeks' ? (
        <LabelledToggles label={t('rule.onDays')} on={form.weekdays} options={weekdayChoices()} onChange={(on) => onChange(withWeekdays(form, on))} />
      ) : null}
      {form.kind === 'months' ? <OnDay form={form} onChange={onChange} /> : null}
      {form.kind === 'after' ? (
        <LabelledChoice
          label={t('rule.unit')}
          value={form.unit}
          options={(['D', 'W', 'M'] as const).map((value) => ({ value, words: t(`rule.unit.${value}`) }))}
          onChange={(unit) => set({ unit })}
        />
      ) : null}
      {form.kind === 'hours' ? (
        <View className="flex-row flex-wrap gap-3">
          <MomentInput label={t('rule.hoursFrom')} kind="time" value={form.hoursFrom} onChange={(hoursFrom) => set({ hoursFrom })} />
          <MomentInput label={t('rule.hoursTo')} kind="time" value={form.hoursTo} onChange={(hoursTo) => set({ hoursTo })} />
        </View>
      ) : null}
      <View className="flex-row flex-wrap gap-3">
        <MomentInput label={t('rule.first')} kind="date" value={form.date} onChange={(date) => onChange(withDate(form, date))} />
        {form.kind === 'hours' && form.hoursFrom !== '' ? null : (
          <MomentInput label={t('due.hour')} kind="time" value={form.time} onChange={(time) => set({ time })} />
        )}
      </View>
    </View>
  );
}

function OnDay({ form, onChange }: RuleFieldsProps) {
  const short = shortDay(form);
  return (
    <>
      <LabelledChoice
        label={t('rule.onDay')}
        value={form.on}
        options={(['day', 'last', 'weekday', 'workday'] as const).map((value) => ({
          value,
          words: t(`rule.on.${value}`, { day: ordinal(Number(form.date.slice(8, 10)) || 1) }),
        }))}
        onChange={(on) => onChange({ ...form, on })}
      />
      {short === null ? null : (
        <LabelledChoice
          label={t('rule.asks31', { day: ordinal(short) })}
          value={form.short}
          options={[
            { value: 'orLast', words: t('rule.short.orLast', { day: ordinal(short) }) },
            { value: 'only', words: sayShortOnly(short) },
          ]}
          onChange={(answer) => onChange({ ...form, short: answer })}
        />
      )}
      {form.on === 'weekday' ? (
        <>
          <LabelledChoice
            label={t('rule.which')}
            value={form.nth}
            options={NTHS.map((value) => ({ value, words: value === '-1' ? t('rule.which.last') : ordinal(Number(value)) }))}
            onChange={(nth) => onChange({ ...form, nth, proposed: false })}
          />
          <LabelledChoice
            label={t('rule.whichDay')}
            value={form.nthDay}
            options={weekdayChoices()}
            onChange={(nthDay) => onChange({ ...form, nthDay, proposed: false })}
          />
        </>
      ) : null}
    </>
  );
}

/** When it stops. */
export function RuleEnd({ form, onChange }: RuleFieldsProps) {
  return (
    <View className="gap-3">
      <LabelledChoice
        label={t('rule.end')}
        value={form.end}
        options={(['never', 'on', 'times'] as const).map((value) => ({ value, words: t(`rule.end.${value}`) }))}
        onChange={(end) => onChange({ ...form, end })}
      />
      {form.end === 'on' ? <MomentInput label={t('rule.lastDayOf')} kind="date" value={form.until} onChange={(until) => onChange({ ...form, until })} /> : null}
      {form.end === 'times' ? (
        <Field label={t('rule.howOften')} inputMode="numeric" value={form.times} onChangeText={(times) => onChange({ ...form, times })} />
      ) : null}
    </View>
  );
}
