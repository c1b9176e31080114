'use client';
import { BrokeDown } from '@/ui/app/BrokeDown';

export default function Failed({ error, reset }: { error: Error; reset: () => void }) {
  return <BrokeDown fault={error} again={reset} />;
}
