import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useDocuments, useMaterials, useMethods, useProjectId } from '../../api/hooks';
import type { Assembly, Detail, Doc, Material, Method, ScheduledOpening } from '../../api/types';
import { MaterialMap, permeanceOf, thicknessOf } from '../../drawing/MaterialMap';
import { show } from '../../quantity/show';
import { Frame } from '../../ui/Frame';
import { useKeys } from '../../ui/keys';
import { RemoveDocument } from '../../ui/RemoveDocument';
import { useUnits } from '../../ui/units';
import { Laid } from './Laid';
import { OwnMaterial } from './OwnMaterial';
import { titleOf } from '../../material/families';

/**
 * The library: every material on one map, found by words; its figures with their sources, and where this project uses
 * it.
 */
export default function Materials() {
  const documents = useDocuments();
  const list = useMaterials();
  const methods = useMethods().data;
  const project = useProjectId();
  const navigate = useNavigate();
  const { key } = useParams();
  const { units } = useUnits();
  const [words, setWords] = useState('');
  const [only, setOnly] = useState<'all' | 'own' | 'used'>('all');
  const [editing, setEditing] = useState<Material | 'new' | null>(null);
  const materials = useMemo(() => list.data ?? [], [list.data]);
  const own = (documents.data?.materials ?? []) as Doc<Material>[];
  const uses = useMemo(
    () =>
      usesOf(
        (documents.data?.assemblies ?? []) as Doc<Assembly>[],
        (documents.data?.details ?? []) as Doc<Detail>[],
        documents.data?.openings ?? [],
        methods ?? [],
      ),
    [documents.data, methods],
  );
  const isOwn = (m: Material) => own.some((d) => d.key === m.id) && m.catalogue === undefined;
  const found = materials.filter(
    (m) =>
      words
        .toLowerCase()
        .split(/\s+/)
        .every((w) => `${m.name} ${m.family ?? ''} ${m.id}`.toLowerCase().includes(w)) &&
      (only === 'all' || (only === 'own' ? isOwn(m) : uses.has(m.id))),
  );
  const selected = materials.find((m) => m.id === key);
  const choose = (m: Material | undefined) => {
    if (m) navigate(`/p/${project}/materials/${encodeURIComponent(m.id)}`, { replace: true });
  };
  const mayEdit = documents.data?.may_edit ?? false;
  useKeys(mayEdit ? { n: { says: 'a new material from a data sheet', act: () => setEditing('new') } } : {}, [
    ['↑ ↓', 'the next material found'],
  ]);
  const doc = own.find((d) => d.key === selected?.id);
  return (
    <Frame
      sheet="2 Materials"
      reckoning={
        selected ? (
          <Figures
            material={selected}
            own={isOwn(selected)}
            uses={uses.get(selected.id) ?? []}
            mayEdit={mayEdit}
            edit={() => setEditing(selected)}
            revision={doc?.revision}
          />
        ) : (
          <p>Choose a material, on the map or in the list.</p>
        )
      }
    >
      <div className="flex h-full flex-col px-6 py-3">
        <p className="flex flex-wrap gap-x-4 text-[12px]">
          <Link className="link text-faint" to={`/p/${project}/assemblies`}>
            back to the assemblies
          </Link>
          {mayEdit && (
            <button className="link" onClick={() => setEditing('new')}>
              a new material from a data sheet <span className="key">n</span>
            </button>
          )}
        </p>
        <div className="shrink-0">
          <MaterialMap {...{ materials, selected, units, choose }} found={new Set(found.map((m) => m.id))} />
        </div>
        <div className="flex items-center gap-3 border-y border-hair py-1">
          <input
            aria-label="Find a material"
            className="w-[22rem]"
            value={words}
            placeholder="wool, permeable, brick …"
            autoFocus
            onChange={(e) => setWords(e.target.value)}
            onKeyDown={(e) => {
              const by = e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0;
              if (by === 0) return;
              e.preventDefault();
              choose(found[Math.max(0, Math.min(found.length - 1, found.findIndex((m) => m === selected) + by))]);
            }}
          />
          {(['all', 'own', 'used'] as const).map((which) => (
            <label key={which}>
              <input type="radio" name="only" checked={only === which} onChange={() => setOnly(which)} />{' '}
              {{ all: 'all', own: 'own', used: 'used here' }[which]}
            </label>
          ))}
          <span className="ml-auto text-faint">
            {found.length} of {materials.length}
          </span>
        </div>
        <ul className="min-h-0 grow overflow-auto text-[12px]" data-list="materials">
          {found.map((m) => (
            <li
              key={m.id}
              data-material={m.id}
              ref={(row) => {
                if (m === selected) row?.scrollIntoView({ block: 'nearest' });
              }}
            >
              <button
                tabIndex={-1}
                aria-current={m === selected}
                className={`grid w-full grid-cols-[minmax(0,1fr)_8rem_5rem_11rem_4.5rem] gap-x-2 px-1 py-[2px] ${m === selected ? 'bg-board font-semibold' : ''}`}
                onClick={() => choose(m)}
              >
                <span className="truncate">{m.name}</span>
                <span className="truncate text-faint">{m.family ? titleOf(m.family) : ''}</span>
                <span>{m.conductivity_w_mk !== undefined ? `λ ${m.conductivity_w_mk}` : ''}</span>
                <span className="whitespace-nowrap">
                  {show(permeanceOf(m), 'permeance', units)}{' '}
                  <span className="text-faint">at {show(thicknessOf(m), 'thickness', units)}</span>
                </span>
                <span className="text-right text-faint">
                  {isOwn(m) ? 'own' : ''} {uses.has(m.id) ? `${uses.get(m.id)?.length} use` : ''}
                </span>
              </button>
            </li>
          ))}
          {found.length === 0 && (
            <li className="py-3 text-faint">Nothing by that name. Take it from its data sheet: key n.</li>
          )}
        </ul>
      </div>
      {editing !== null && (
        <OwnMaterial
          from={editing === 'new' ? undefined : editing}
          revision={editing !== 'new' && doc && isOwn(editing) ? doc.revision : 0}
          taken={materials.map((m) => m.id)}
          close={(saved) => {
            setEditing(null);
            if (saved) navigate(`/p/${project}/materials/${encodeURIComponent(saved)}`, { replace: true });
          }}
        />
      )}
    </Frame>
  );
}

interface Use {
  name: string;
  to: string;
}

function usesOf(
  assemblies: Doc<Assembly>[],
  details: Doc<Detail>[],
  openings: Doc<ScheduledOpening>[],
  methods: Method[],
): Map<string, Use[]> {
  const uses = new Map<string, Use[]>();
  const add = (id: string, use: Use) => {
    if (!uses.get(id)?.some((u) => u.to === use.to)) uses.set(id, [...(uses.get(id) ?? []), use]);
  };
  for (const d of assemblies) {
    for (const layer of d.content.layers) {
      add(layer.material, { name: `${d.key} ${d.content.name}`, to: `assemblies/${d.key}?layer=${layer.id ?? ''}` });
      if (layer.framing)
        add(layer.framing.material, { name: `${d.key}, framing`, to: `assemblies/${d.key}?layer=${layer.id ?? ''}` });
    }
  }
  for (const d of details)
    for (const piece of d.content.pieces)
      add(piece.material, { name: `${d.key} ${d.content.title}`, to: `sequences/${d.key}` });
  for (const { key, content } of openings) {
    const takes =
      methods.find((m) => m.name === content.generator)?.parameters.filter((p) => p.kind === 'material') ?? [];
    for (const p of takes)
      add(String(content.parameters[p.name] ?? p.value), { name: `${key} ${content.title}`, to: `sequences/${key}` });
  }
  return uses;
}

function Figures({
  material: m,
  own,
  uses,
  mayEdit,
  edit,
  revision,
}: {
  material: Material;
  own: boolean;
  uses: Use[];
  mayEdit: boolean;
  edit: () => void;
  revision: number | undefined;
}) {
  const project = useProjectId();
  const { units } = useUnits();
  const rows: [string, string | undefined][] = [
    [
      'family',
      [m.family, m.back_family]
        .filter((f) => f !== undefined)
        .map(titleOf)
        .join('; its inner face '),
    ],
    ['conductivity', m.conductivity_w_mk === undefined ? undefined : `${m.conductivity_w_mk} W/(m·K)`],
    ['R', m.resistance_m2k_w === undefined ? undefined : show(m.resistance_m2k_w, 'resistance', units)],
    [
      'μ, dry cup · wet',
      m.vapour_resistance_factor === undefined
        ? undefined
        : `${m.vapour_resistance_factor}${m.vapour_resistance_factor_wet ? ` · ${m.vapour_resistance_factor_wet}` : ''}`,
    ],
    [
      'sd',
      m.sd_m === undefined
        ? undefined
        : `${show(m.sd_m, 'sd', units)}${m.sd_wet_m ? ` · ${show(m.sd_wet_m, 'sd', units)} wet` : ''}`,
    ],
    [
      'permeance, dry cup · wet',
      m.permeance_ng_pa_s_m2 === undefined
        ? undefined
        : `${show(m.permeance_ng_pa_s_m2, 'permeance', units)}${m.permeance_wet_ng_pa_s_m2 ? ` · ${show(m.permeance_wet_ng_pa_s_m2, 'permeance', units)}` : ''}`,
    ],
    [
      'opens when damp',
      m.permeance_curve?.map((p) => `${p.rh_pct} %: ${show(p.permeance_ng_pa_s_m2, 'permeance', units)}`).join(', '),
    ],
    [
      'λ by its temperature',
      m.conductivity_curve?.map((p) => `${show(p.mean_c, 'temperature', units)}: ${p.conductivity_w_mk}`).join(', '),
    ],
    ['density', m.density_kg_m3 === undefined ? undefined : `${m.density_kg_m3} kg/m³`],
    ['specific heat', m.specific_heat_j_kgk === undefined ? undefined : `${m.specific_heat_j_kgk} J/(kg·K)`],
    [
      'water it holds',
      m.sorption_curve
        ?.map((p) => `${p.rh_pct} %: ${p.water_kg_m3}`)
        .join(', ')
        .concat(' kg/m³'),
    ],
    ['full of water', m.free_saturation_kg_m3 === undefined ? undefined : `${m.free_saturation_kg_m3} kg/m³`],
    ['soaks up', m.water_absorption_kg_m2_s05 === undefined ? undefined : `${m.water_absorption_kg_m2_s05} kg/m²√s`],
    ['stores without harm', m.safe_store_kg_m3 === undefined ? undefined : `${m.safe_store_kg_m3} kg/m³`],
    ['air at 75 Pa', m.air_permeance_l_s_m2 === undefined ? undefined : `${m.air_permeance_l_s_m2} L/(s·m²)`],
    ['sheds water', m.sheds_water === undefined ? undefined : m.sheds_water ? 'yes' : 'no'],
    ['sticks with', m.adhesive],
  ];
  return (
    <>
      <h2 className="pb-1 text-[15px] font-bold">{m.name}</h2>
      <dl>
        {rows
          .filter(([, v]) => v !== undefined)
          .map(([name, value]) => (
            <div key={name} className="flex justify-between gap-3 py-[2px]">
              <dt className="shrink-0 text-faint">{name}</dt>
              <dd className="text-right font-semibold">{value}</dd>
            </div>
          ))}
      </dl>
      <p className={`my-1 text-[11px] ${m.source?.kind === 'data-sheet' ? 'text-faint' : 'text-caution'}`}>
        {m.source
          ? `${m.source.name}${m.source.date ? `, ${m.source.date}` : ''} (${m.source.kind.replace('-', ' ')})`
          : 'no source given'}
        {m.catalogue ? ` · copied from catalogue ${m.catalogue}` : ''}
      </p>
      {mayEdit && (
        <p className="flex gap-3">
          {
            <button className="act" onClick={edit}>
              {own ? 'change it' : 'one of your own like it'}
            </button>
          }
          {own && revision !== undefined && uses.length === 0 && (
            <RemoveDocument
              kind="material"
              id={m.id}
              revision={revision}
              name={m.name}
              lost="Its figures go with it."
              after={`/p/${project}/materials`}
            />
          )}
        </p>
      )}
      <Laid material={m.id} />
      <h3 className="mt-3 border-t border-hair pt-2 font-bold">Where it is used</h3>
      {uses.length === 0 ? (
        <p className="text-faint">Nowhere in this project.</p>
      ) : (
        <ul>
          {uses.map((u) => (
            <li key={u.to}>
              <Link className="link" to={`/p/${project}/${u.to}`}>
                {u.name}
              </Link>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
