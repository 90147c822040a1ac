import 'leaflet/dist/leaflet.css';
import './land.css';
import type { Coordinates } from '@kotiva/core';
import type { Feature } from 'geojson';
import { divIcon, latLngBounds, type LatLngTuple, type Marker as LeafletMarker } from 'leaflet';
import { useEffect, useMemo, useRef } from 'react';
import { Circle, GeoJSON, MapContainer, Marker, Polyline, ScaleControl, Tooltip, useMap, useMapEvents } from 'react-leaflet';
import { useLand } from './land.ts';
import type { MapMark, MapProps } from './marks.ts';

const CLOSE = 15;
const NAMES_FROM = 14;
const latLng = ({ lat, lon }: Coordinates): LatLngTuple => [lat, lon];

/** Our own drawing: land from GeoJSON, no tiles; its looks come from the style sheet, so light and dark follow by themselves. */
export default function DrawnMap({ label, marks, line, at = null, onPick, onOpen, onMove, height }: MapProps) {
  const land = useLand();
  return (
    <MapContainer
      className="drawn-map"
      style={{ height }}
      center={[0, 0]}
      zoom={CLOSE}
      attributionControl={false}
      zoomControl={false}
      minZoom={3}
      maxZoom={18}
      zoomSnap={0.5}
    >
      <Named label={label} />
      <NamesWhenNear />
      {land ? <GeoJSON data={land} style={(feature) => ({ className: `land-${kindOf(feature)}`, interactive: false })} /> : null}
      {line ? <Polyline positions={line.map(latLng)} className="map-way" interactive={false} /> : null}
      {marks.map((mark) => (
        <Mark key={mark.id} mark={mark} onOpen={onOpen} onMove={onMove} />
      ))}
      <View marks={marks} at={at} />
      {onPick ? <Picking onPick={onPick} /> : null}
      <ScaleControl imperial={false} position="bottomright" />
    </MapContainer>
  );
}

const kindOf = (feature: Feature | undefined): string => String(feature?.properties?.['kind'] ?? 'line').replace(/[^a-z]/g, '');

/** The map as a part of the page with a name. */
function Named({ label }: { label: string }): null {
  const map = useMap();
  useEffect(() => {
    const element = map.getContainer();
    element.setAttribute('role', 'region');
    element.setAttribute('aria-label', label);
  }, [map, label]);
  return null;
}

/** From afar names would lie over each other: they come as one looks closer, or at the mark one points to. */
function NamesWhenNear(): null {
  const map = useMap();
  useEffect(() => {
    const apply = () => void map.getContainer().classList.toggle('map-near', map.getZoom() >= NAMES_FROM);
    apply();
    map.on('zoomend', apply);
    return () => void map.off('zoomend', apply);
  }, [map]);
  return null;
}

function Mark({ mark, onOpen, onMove }: { mark: MapMark; onOpen?: (id: string) => void; onMove?: (id: string, at: Coordinates) => void }) {
  const { id, name, at, kind, radius, words, moves = false } = mark;
  const icon = useMemo(() => iconOf(kind, words ?? ''), [kind, words]);
  const marker = useRef<LeafletMarker>(null);
  // its name goes before the figure in it
  useEffect(() => marker.current?.getElement()?.setAttribute('aria-label', [name, words].filter(Boolean).join(' ')), [name, words, icon]);
  const events = useMemo(
    () => ({
      click: () => onOpen?.(id),
      dragend: ({ target }: { target: { getLatLng(): { lat: number; lng: number } } }) => {
        const { lat, lng } = target.getLatLng();
        onMove?.(id, { lat, lon: lng });
      },
    }),
    [id, onOpen, onMove],
  );
  return (
    <>
      {radius ? <Circle center={latLng(at)} radius={radius} className="map-circle" interactive={false} /> : null}
      <Marker ref={marker} position={latLng(at)} icon={icon} draggable={moves} keyboard eventHandlers={events}>
        <Tooltip permanent direction="right" offset={[12, 0]} className="map-name">
          {name}
        </Tooltip>
      </Marker>
    </>
  );
}

const SIZE = 44;

/** A lozenge with a figure in it: what can be tapped is as wide as a thumb. */
function iconOf(kind: MapMark['kind'], words: string) {
  const sign = document.createElement('span');
  sign.className = `map-sign map-sign-${kind}`;
  const inner = document.createElement('b');
  inner.textContent = words;
  sign.append(inner);
  return divIcon({ html: sign, className: 'map-touch', iconSize: [SIZE, SIZE], iconAnchor: [SIZE / 2, SIZE / 2] });
}

/** Looks where one is asked to look, and stays there until that changes. */
function View({ marks, at }: { marks: readonly MapMark[]; at: string | null }): null {
  const map = useMap();
  const middle = marks.find(({ id }) => id === at);
  const all = marks.map(({ at: { lat, lon } }) => `${lat},${lon}`).join(' ');
  const spot = middle ? `${middle.at.lat},${middle.at.lon}` : null;
  useEffect(() => {
    const spots = (spot ?? all).split(' ').map((text) => text.split(',').map(Number) as LatLngTuple);
    if (all === '') map.setView([62, 20], 4);
    else if (spot !== null || spots.length === 1) map.setView(spots[0]!, CLOSE);
    else map.fitBounds(latLngBounds(spots), { padding: [36, 36], maxZoom: 16 });
    // where things are is looked at anew only when somebody asks for another sight, not when a mark moves
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [map, spot, all === '']);
  return null;
}

function Picking({ onPick }: { onPick: (at: Coordinates) => void }): null {
  useMapEvents({ click: ({ latlng }) => onPick({ lat: latlng.lat, lon: latlng.lng }) });
  return null;
}
