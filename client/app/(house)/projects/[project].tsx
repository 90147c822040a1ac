import { useLocalSearchParams } from 'expo-router';
import { ProjectScreen } from '@/features/projects';

export default function ProjectRoute() {
  const { project } = useLocalSearchParams<{ project: string }>();
  return <ProjectScreen projectId={project} />;
}
