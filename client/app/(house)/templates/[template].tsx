import { useLocalSearchParams } from 'expo-router';
import { TemplateScreen } from '@/features/templates';

export default function TemplateRoute() {
  const { template } = useLocalSearchParams<{ template: string }>();
  return <TemplateScreen templateId={template} />;
}
