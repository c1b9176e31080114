import type { MetadataRoute } from 'next';

export default function manifest(): MetadataRoute.Manifest {
  const icon = (size: number, purpose: 'any' | 'maskable') => ({
    src: `/icons/${purpose}-${size}.png`,
    sizes: `${size}x${size}`,
    type: 'image/png',
    purpose,
  });
  return {
    id: '/',
    name: 'Merry Lacquer',
    short_name: 'Merry Lacquer',
    description: 'Plans ten-nail art sets: layers, curing order, sitting.',
    start_url: '/',
    display: 'standalone',
    background_color: '#f5f0e8',
    theme_color: '#8a2532',
    icons: [icon(192, 'any'), icon(512, 'any'), icon(512, 'maskable')],
  };
}
