'use client';
import { useEffect } from 'react';
import { useSettings } from '@/kitchen/use-settings';

/** Puts the chosen theme on the page; `system` follows the device. */
export function useTheme(): void {
  const { theme } = useSettings();
  useEffect(() => {
    if (theme === 'system') delete document.documentElement.dataset.theme;
    else document.documentElement.dataset.theme = theme;
  }, [theme]);
}
