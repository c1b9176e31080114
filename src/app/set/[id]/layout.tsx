import type { ReactNode } from 'react';
import { StudioShell } from '@/ui/studio/StudioShell';

export default async function SetLayout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ id: string }>;
}) {
  const { id } = await params;
  return <StudioShell id={id}>{children}</StudioShell>;
}
