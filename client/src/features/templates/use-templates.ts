import { type Person, type Template, type TemplateItem } from '@kotiva/core';
import { byPosition } from '@kotiva/core/model/position';
import { askedBy, type Asked } from '@kotiva/core/templates/asked';
import { inOrder } from '@kotiva/core/templates/laid-out';
import { useMemo } from 'react';
import { useOpenHouse } from '@/store/store.ts';

/** Those somebody may use: their own and the house's. */
export function useTemplates(): Template[] {
  const { rows } = useOpenHouse();
  return useMemo(
    () =>
      rows
        .all('template')
        .filter(({ removedAt }) => removedAt === null)
        .sort(byPosition),
    [rows],
  );
}

/** What is in one, each item before its steps, and what it asks for. */
export function useContents(template: Template): { items: TemplateItem[]; asked: Asked } {
  const { rows } = useOpenHouse();
  return useMemo(() => {
    const items = inOrder(rows.by('templateItem', 'templateId', template.id));
    return { items, asked: askedBy(template, items, rows) };
  }, [rows, template]);
}

/** What one asks for; null: none is chosen. */
export function useAsked(template: Template | null): Asked | null {
  const { rows } = useOpenHouse();
  return useMemo(() => (template === null ? null : askedBy(template, inOrder(rows.by('templateItem', 'templateId', template.id)), rows)), [rows, template]);
}

export const mayChangeTemplate = ({ ownerId, isShared }: Template, me: Person): boolean => ownerId === me.id || (isShared && me.role === 'manager');
