<?php

// Cases of the rain trace and of the other checks, written with their reasons before the code that computes them. Each: what is
// built, and what must come of it. Facts of the trade in the reasons are common practice.
//
// Build: `wall()` is one upright facet 1000 × 1000; `opening()` a 1000 × 1000 opening in a face with a margin of 500 and a return of 140.
// Expect: 'top@u' => [outcome, severity, lines] is the release at the top of the face in the strip at u; 'face@u' the worst of those just
// under each interval; 'unit:facet@u' the unit's; 'penetration@u', 'fastener@u'. 'laps', 'joints', 'corners', 'head', 'sill', 'air' are checks.

/** @param  list<array<mixed>>  $patches  [facet, rect, more] */
function piece(string $id, string $kind, int $step, array $patches, array $more = []): array
{
    $rows = [];
    foreach ($patches as $i => [$facet, $rect]) {
        $rows[] = ['id' => "$id.$i", 'facet' => $facet, 'rect' => $rect] + ($patches[$i][2] ?? []);
    }
    $material = ['sheet' => 'polyolefin-wrap', 'metal' => 'steel-galvanised', 'unit' => 'window-unit', 'sealant' => 'sealant-silyl', 'board' => 'polyiso-foil', 'fluid' => 'fluid-permeable', 'tape' => 'seam-tape'][$kind] ?? 'membrane-sbs';

    return $more + ['id' => $id, 'material' => $material, 'kind' => $kind, 'step' => $step, 'patches' => $rows];
}

/** A piece of one patch on the face. */
function one(string $id, string $kind, int $step, array $rect, array $more = [], array $patch = []): array
{
    return piece($id, $kind, $step, [['face', $rect, $patch]], $more);
}

function wallDetail(array $pieces, array $more = []): array
{
    return ['id' => 'd', 'title' => 'case', 'facets' => ['face' => ['u' => [0, 1000], 'v' => [0, 1000]]], 'release' => 'face', 'pieces' => $pieces] + $more;
}

function openingDetail(array $pieces, array $opening = [], array $more = []): array
{
    return ['id' => 'd', 'title' => 'case', 'opening' => $opening + ['width_mm' => 1000, 'height_mm' => 1000, 'depth_mm' => 140, 'margin_mm' => 500, 'sill_pitch' => 'out', 'sill_fall_mm' => 10, 'back_dam_mm' => 25, 'head_of_water_mm' => 31], 'pieces' => $pieces] + $more;
}

$full = [0, 0, 1000, 1000];
$upper = [0, 450, 1000, 1000];
$lower = [0, 0, 1000, 550];

// A sound opening to vary: sheet over the whole face below and beside, its flap above the head strip, a pan with upturns, liners, a flanged unit.
$sheet = fn (array $more = []) => piece('sheet', 'sheet', 1, [
    ['face', [-500, -500, 1500, 0], ['joined' => ['f']]], ['face', [-500, 0, 0, 1100], ['joined' => ['f']]], ['face', [1000, 0, 1500, 1100], ['joined' => ['f']]],
], ['role' => 'plane', 'air' => true, 'air_layer' => true] + $more);
$above = fn (int $step = 7) => piece('above', 'sheet', $step, [['face', [-500, 1050, 1500, 1500]]], ['role' => 'plane', 'air' => true]);
$pan = fn (array $more = [], int $step = 2) => piece('pan', 'formable', $step, [
    ['sill', [0, 0, 1000, 140], ['joined' => ['p']]], ['jamb-left', [0, 0, 140, 150], ['joined' => ['p']]], ['jamb-right', [0, 0, 140, 150], ['joined' => ['p']]],
    ['face', [-75, -75, 1075, 0], ['joined' => ['p']]], ['face', [-75, 0, 0, 150], ['joined' => ['p']]], ['face', [1000, 0, 1075, 150], ['joined' => ['p']]],
], ['role' => 'pan', 'air' => true] + $more);
$liners = fn (int $step = 3) => [
    piece('liner-left', 'membrane', $step, [['jamb-left', [0, 75, 140, 1000], ['joined' => ['l']]], ['face', [-75, 75, 0, 1000], ['joined' => ['l']]]], ['air' => true]),
    piece('liner-right', 'membrane', $step, [['jamb-right', [0, 75, 140, 1000], ['joined' => ['r']]], ['face', [1000, 75, 1075, 1000], ['joined' => ['r']]]], ['air' => true]),
];
$unit = fn (array $edges = [], int $step = 4) => one('unit', 'unit', $step, [-25, -25, 1025, 1025], ['air' => true, 'edges' => $edges + ['left' => 'sealed', 'right' => 'sealed', 'top' => 'sealed', 'bottom' => 'open']]);
$jambs = fn (int $step = 5, float $foot = 0) => [one('jamb-left', 'membrane', $step, [-140, $foot, 10, 1050]), one('jamb-right', 'membrane', $step, [990, $foot, 1140, 1050])];
$head = fn (int $step = 6, array $rect = [-190, 990, 1190, 1200]) => one('head', 'membrane', $step, $rect, ['role' => 'head-flashing']);
$joints = ['sill' => ['outer' => 'open', 'insulation' => true, 'inner' => true], 'head' => ['outer' => 'open', 'insulation' => true, 'inner' => true], 'jamb-left' => ['outer' => 'open', 'insulation' => true, 'inner' => true], 'jamb-right' => ['outer' => 'open', 'insulation' => true, 'inner' => true]];
$set = ['unit' => ['z' => [0, 80], 'flange' => 'unit', 'joints' => $joints], 'least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100, 'end_mm' => 150], ['outer' => 'sheet', 'inner' => 'membrane', 'horizontal_mm' => 100], ['outer' => 'membrane', 'inner' => 'membrane', 'horizontal_mm' => 50, 'end_mm' => 50]], 'pan_upturn_mm' => 150];
$sound = [$sheet(), $pan(), ...$liners(), $unit(), ...$jambs(), $head(), $above()];

return [
    // --- every outcome, on one facet -------------------------------------------------------------------------------------------------
    'shed: one sheet to the foot' => [wallDetail([one('a', 'sheet', 1, $full)]), ['top@500' => ['shed', 'pass', null]], 'water runs down the outside of one sheet and leaves at the foot with nothing over it'],
    'shed: shingled sheets' => [wallDetail([one('low', 'sheet', 1, $lower), one('up', 'sheet', 2, $upper)]), ['top@500' => ['shed', 'pass', null], 'face@500' => ['shed', 'pass', null]], 'the upper laps over the lower: it is dropped onto what goes on below'],
    'wets: nothing there' => [wallDetail([one('a', 'sheet', 1, [0, 500, 1000, 1000])]), ['top@500' => ['wets substrate', 'fail', 0]], 'the sheet ends and nothing goes on below: bare substrate at once'],
    'wets: strip beside the sheet' => [wallDetail([one('a', 'sheet', 1, [0, 0, 600, 1000])]), ['top@300' => ['shed', 'pass', null], 'top@800' => ['wets substrate', 'fail', 0]], 'strips are traced each for itself'],
    'tolerant: nothing there' => [wallDetail([one('a', 'sheet', 1, [0, 500, 1000, 1000])], ['tolerant' => ['face']]), ['top@500' => ['recovered', 'note', null]], 'coated masonry bears it: a note'],
    'behind: reversed open lap, let out' => [wallDetail([one('up', 'sheet', 1, $upper), one('low', 'sheet', 2, $lower)]), ['top@500' => ['wets substrate', 'fail', 0]], 'jamb before sill, sheet lapped the wrong way: water gets behind the lower at its open top, the upper ends, and behind it is bare wall'],
    'recovered: behind a skirt over a whole sheet' => [wallDetail([one('a', 'sheet', 1, $full), one('skirt', 'sheet', 2, [0, 300, 1000, 600])]), ['top@500' => ['recovered', 'note', null]], 'in at the skirt’s open top, out at its open foot, on the sheet all the while'],
    'relies on bond: strip bonded over a whole sheet' => [wallDetail([one('a', 'sheet', 1, $full), one('strip', 'membrane', 2, [0, 300, 1000, 600], ['edges' => ['bottom' => 'open']])]), ['top@500' => ['relies on bond', 'note', null]], 'if the bond fails the water is behind the strip, on the sheet, and out at its open foot: no failure of an edge does harm'],
    'relies on bond: and trapped if it fails' => [wallDetail([one('a', 'sheet', 1, $full), one('strip', 'membrane', 2, [0, 300, 1000, 600])]), ['top@500' => ['relies on bond', 'caution', 1]], 'behind a strip bonded all round it cannot get out: one bond is the only defence'],
    'relies on seal' => [wallDetail([one('a', 'sheet', 1, $full), one('coat', 'fluid', 2, [0, 300, 1000, 600])]), ['top@500' => ['relies on seal', 'caution', 1]], 'the same of a coat: a seal'],
    'two lines of defence' => [wallDetail([one('a', 'sheet', 1, $full), one('inner', 'membrane', 2, [0, 200, 1000, 600]), one('outer', 'membrane', 3, [0, 200, 1000, 700], ['edges' => ['bottom' => 'open']])]), ['top@500' => ['relies on bond', 'note', 2]], 'the outer bond must fail and then the inner one before water is trapped'],
    'trapped: bonded foot' => [wallDetail([one('a', 'sheet', 1, $full), one('skirt', 'sheet', 2, [0, 300, 1000, 600], ['edges' => ['bottom' => 'adhered']])]), ['top@500' => ['trapped', 'fail', 0]], 'in at the open top, held in by the bonded foot'],
    'trapped: sealed at the foot of the facet' => [wallDetail([one('a', 'sheet', 1, $full), one('skirt', 'sheet', 2, [0, 0, 1000, 600], ['edges' => ['bottom' => 'sealed']])]), ['top@500' => ['trapped', 'fail', 0]], 'at the foot of a facet with no fold, behind something sealed along it'],
    'recovered: open at the foot of the facet' => [wallDetail([one('a', 'sheet', 1, $full), one('skirt', 'sheet', 2, [0, 0, 1000, 600])]), ['top@500' => ['recovered', 'note', null]], 'at the foot, behind something open'],
    'a gap in the seal lets it out' => [wallDetail([one('a', 'sheet', 1, $full), one('skirt', 'sheet', 2, [0, 300, 1000, 600], ['edges' => ['bottom' => [['from' => 0, 'to' => 400, 'edge' => 'sealed'], ['from' => 600, 'to' => 1000, 'edge' => 'sealed']]]])]), ['top@500' => ['recovered', 'note', null], 'top@150' => ['recovered', 'note', null], 'top@50' => ['trapped', 'fail', 0]], 'sealed but for a gap: out at the gap, and within 300 mm of it; farther off it is trapped'],
    'shielded: an outer sheet goes on past' => [wallDetail([one('a', 'sheet', 1, $full), one('skirt', 'sheet', 2, [0, 300, 1000, 600]), one('over', 'sheet', 3, [0, 100, 1000, 800])]), ['top@500' => ['recovered', 'note', null]], 'behind both: the outer goes on past the inner’s foot and shields it'],

    // --- butt joints -------------------------------------------------------------------------------------------------------------------
    'butt joint: open to the wall' => [wallDetail([one('up', 'sheet', 1, [0, 500, 1000, 1000]), one('low', 'sheet', 2, [0, 0, 1000, 500])]), ['top@500' => ['wets substrate', 'fail', 0]], 'a lap of nothing: the joint lets it to the substrate'],
    'butt joint: cured by a lap' => [wallDetail([one('low', 'sheet', 1, [0, 0, 1000, 600]), one('up', 'sheet', 2, [0, 500, 1000, 1000])]), ['top@500' => ['shed', 'pass', null]], 'the same lapped 100 mm'],
    'butt joint: sealed' => [wallDetail([one('up', 'fluid', 1, [0, 500, 1000, 1000]), one('low', 'fluid', 2, [0, 0, 1000, 500])]), ['top@500' => ['relies on seal', 'caution', 1]], 'a sealed edge of either carries it over, and nothing is behind it'],
    'butt joint: over a sheet that goes on' => [wallDetail([one('back', 'sheet', 1, $full), one('up', 'board', 2, [0, 500, 1000, 1000]), one('low', 'board', 3, [0, 0, 1000, 500])]), ['top@500' => ['recovered', 'note', null]], 'boards butted over a sheet: the sheet takes it, the lower board’s open top lets it in, and at the foot it is out'],
    'butt joint: taped' => [wallDetail([one('up', 'board', 1, [0, 500, 1000, 1000]), one('low', 'board', 1, [0, 0, 1000, 500]), one('tape', 'tape', 2, [0, 450, 1000, 550])]), ['top@500' => ['relies on bond', 'caution', 1]], 'the tape’s top edge carries it over; if it lets go the joint is open to the wall'],

    // --- drain edges, joined patches, tucking ------------------------------------------------------------------------------------------
    'drain: a drip over nothing' => [wallDetail([one('a', 'sheet', 1, $full), one('drip', 'metal', 2, [0, 400, 1000, 600], ['edges' => ['top' => 'sealed']], ['drain' => true])]), ['top@500' => ['relies on seal', 'note', null]], 'over the sealed top, and away at the drip: if the seal fails it is behind the metal and out at its foot'],
    'drain: covered by something that goes on' => [wallDetail([one('a', 'sheet', 1, $full, [], []), one('drip', 'metal', 2, [0, 400, 1000, 1000], [], ['drain' => true]), one('over', 'sheet', 3, [0, 100, 1000, 700])]), ['top@500' => ['recovered', 'note', null]], 'a drip behind a sheet that goes on past it is an ordinary end: onto the sheet below, and out at the cover’s foot'],
    'joined: no edge where patches of a piece meet joined' => [wallDetail([piece('a', 'membrane', 1, [['face', [0, 500, 1000, 1000], ['joined' => ['x']]], ['face', [0, 0, 1000, 500], ['joined' => ['x']]]])]), ['top@500' => ['shed', 'pass', null]], 'splitting a patch into two joined ones changes nothing'],
    'slit: not joined' => [wallDetail([piece('a', 'membrane', 1, [['face', [0, 500, 1000, 1000]], ['face', [0, 0, 1000, 500]]])]), ['top@500' => ['wets substrate', 'fail', 0]], 'unmarked there is a slit; a bonded edge does not carry over a butt joint'],
    'tuck: later piece under the sheet' => [wallDetail([one('sheet', 'sheet', 1, [0, 500, 1000, 1000]), one('apron', 'metal', 2, [0, 0, 1000, 700], ['under' => 'sheet'])]), ['top@500' => ['shed', 'pass', null]], 'tucked under the sheet’s open foot it is lapped the right way though it came later'],
    'tuck forgotten' => [wallDetail([one('sheet', 'sheet', 1, [0, 500, 1000, 1000]), one('apron', 'metal', 2, [0, 0, 1000, 700])]), ['top@500' => ['wets substrate', 'fail', 0]], 'flap forgotten: the metal’s open top takes the water behind it'],
    'upside down: strip whose top is open and foot bonded' => [wallDetail([one('a', 'sheet', 1, $full), one('s', 'membrane', 2, [0, 300, 1000, 600], ['edges' => ['top' => 'open']])]), ['top@500' => ['trapped', 'fail', 0]], 'patch upside down: catches water and keeps it'],
    'upside down: cured' => [wallDetail([one('a', 'sheet', 1, $full), one('s', 'membrane', 2, [0, 300, 1000, 600], ['edges' => ['bottom' => 'open']])]), ['top@500' => ['relies on bond', 'note', null]], 'bonded at the top, open at the foot'],

    // --- penetrations and fasteners ----------------------------------------------------------------------------------------------------
    'pipe: sealed to the sheet' => [wallDetail([one('a', 'sheet', 1, $full)], ['penetrations' => [['id' => 'pipe', 'facet' => 'face', 'rect' => [400, 400, 600, 600], 'sealed_to' => ['a']]]]), ['top@500' => ['relies on seal', 'caution', 1], 'top@100' => ['shed', 'pass', null], 'penetration@500' => ['relies on seal', 'caution', 1]], 'round the pipe and on, by the seal alone'],
    'pipe: not sealed' => [wallDetail([one('a', 'sheet', 1, $full)], ['penetrations' => [['id' => 'pipe', 'facet' => 'face', 'rect' => [400, 400, 600, 600]]]]), ['top@500' => ['wets substrate', 'fail', 0]], 'along the pipe past the last patch: wet'],
    'pipe: collar over the sheet' => [wallDetail([one('a', 'sheet', 1, $full), one('collar', 'membrane', 2, [300, 300, 700, 700], ['edges' => ['bottom' => 'open']])], ['penetrations' => [['id' => 'pipe', 'facet' => 'face', 'rect' => [400, 400, 600, 600], 'sealed_to' => ['collar']]]]), ['top@500' => ['relies on bond', 'caution', 1]], 'the collar’s bond, then its seal to the pipe: if the seal fails it runs along the pipe to the sheet, which is not sealed, and past it: one failure is enough'],
    'pipe: both sealed' => [wallDetail([one('a', 'sheet', 1, $full), one('collar', 'membrane', 2, [300, 300, 700, 700], ['edges' => ['bottom' => 'open']])], ['penetrations' => [['id' => 'pipe', 'facet' => 'face', 'rect' => [400, 400, 600, 600], 'sealed_to' => ['collar', 'a']]]]), ['top@500' => ['relies on bond', 'note', 2]], 'two seals must fail: behind the collar the sheet is sealed too'],
    'screw: made for the sheet' => [wallDetail([one('a', 'sheet', 1, $full)], ['fasteners' => [['id' => 's', 'facet' => 'face', 'at' => [300, 900], 'through' => ['a'], 'made_for' => ['a']]]]), ['fastener' => null], 'no release at a fastener that is made for what it goes through'],
    'screw: not made for it' => [wallDetail([one('a', 'sheet', 1, $full)], ['fasteners' => [['id' => 's', 'facet' => 'face', 'at' => [300, 900], 'through' => ['a'], 'made_for' => []]]]), ['fastener@300' => ['wets substrate', 'fail', 0]], 'it leaks along the shank to what is behind: the wall'],
    'screw: through the board, sheet behind untouched' => [wallDetail([one('a', 'sheet', 1, $full), one('b', 'board', 2, $full)], ['fasteners' => [['id' => 's', 'facet' => 'face', 'at' => [300, 900], 'through' => ['b'], 'made_for' => []]]]), ['fastener@300' => ['recovered', 'note', null]], 'onto the sheet behind the board, and out at the foot'],

    // --- folds -------------------------------------------------------------------------------------------------------------------------
    'fold: roof onto wall, folded membrane' => [['id' => 'd', 'title' => 'case', 'facets' => ['roof' => ['u' => [0, 1000], 'v' => [0, 500]], 'face' => ['u' => [0, 1000], 'v' => [0, 1000]]], 'folds' => [['from' => 'roof', 'to' => 'face', 'at_v' => 1000]], 'release' => 'roof', 'pieces' => [one('wall', 'sheet', 1, [0, 0, 1000, 1000]), piece('roofing', 'membrane', 2, [['roof', [0, 0, 1000, 500], ['joined' => ['e']]], ['face', [0, 900, 1000, 1000], ['joined' => ['e']]]])]], ['top@500' => ['shed', 'pass', null]], 'the membrane folded down over the edge drops it on the sheet'],
    'fold: membrane stops at the edge' => [['id' => 'd', 'title' => 'case', 'facets' => ['roof' => ['u' => [0, 1000], 'v' => [0, 500]], 'face' => ['u' => [0, 1000], 'v' => [0, 1000]]], 'folds' => [['from' => 'roof', 'to' => 'face', 'at_v' => 1000]], 'release' => 'roof', 'pieces' => [one('wall', 'sheet', 1, [0, 0, 1000, 1000]), piece('roofing', 'membrane', 2, [['roof', [0, 0, 1000, 500]]])]], ['top@500' => ['wets substrate', 'fail', 0]], 'a butt joint at the arris: neither edge is sealed'],
    'fold: base flashing to the ledge' => [['id' => 'd', 'title' => 'case', 'facets' => ['face' => ['u' => [0, 1000], 'v' => [0, 1000]], 'ledge' => ['u' => [0, 1000], 'v' => [0, 100]]], 'folds' => [['from' => 'face', 'to' => 'ledge', 'at_v' => 100]], 'release' => 'face', 'pieces' => [piece('flashing', 'metal', 1, [['face', [0, 0, 1000, 200], ['joined' => ['b']]], ['ledge', [0, 0, 1000, 100], ['joined' => ['b'], 'drain' => true]]]), one('sheet', 'sheet', 2, [0, 100, 1000, 1000])]], ['top@500' => ['shed', 'pass', null]], 'sheet over the upstand, out over the ledge at the drip'],

    // --- openings ----------------------------------------------------------------------------------------------------------------------
    'opening: sound' => [openingDetail($sound, [], $set), ['top@500' => ['shed', 'pass', null], 'top@-400' => ['shed', 'pass', null], 'unit:sill@500' => ['recovered', 'note', null], 'unit:jamb-left@40' => ['recovered', 'note', null], 'corners' => ['bottom-left' => 'pass', 'bottom-right' => 'pass', 'top-left' => 'note', 'top-right' => 'note'], 'sill' => ['outer_joint' => 'pass', 'inner_seal' => 'pass', 'pitch' => 'pass', 'end_dams' => 'pass', 'pan_upturn' => 'pass'], 'head' => ['head' => 'pass'], 'air' => ['sill' => true, 'jamb-left' => true, 'jamb-right' => true]], 'over sheet, head strip, unit, and out; what leaks at the unit runs on liner and pan out under the open flange'],
    'opening: head strip over the sheet' => [openingDetail([$sheet(), $pan(), ...$liners(), $unit(), ...$jambs(), $above(6), $head(7)], [], $set), ['top@500' => ['relies on bond', 'caution', 1], 'head' => ['head' => 'caution']], 'reverse lap at the head: only the strip’s bond keeps water from behind it'],
    'opening: bottom flange sealed' => [openingDetail([$sheet(), $pan(), ...$liners(), $unit(['bottom' => 'sealed']), ...$jambs(), $head(), $above()], [], $set), ['unit:sill@500' => ['trapped', 'fail', 0], 'sill' => ['outer_joint' => 'fail']], 'the pan is a bath'],
    'opening: bottom flange sealed but for two gaps' => [openingDetail([$sheet(), $pan(), ...$liners(), $unit(['bottom' => [['from' => -25, 'to' => 200, 'edge' => 'sealed'], ['from' => 250, 'to' => 750, 'edge' => 'sealed'], ['from' => 800, 'to' => 1025, 'edge' => 'sealed']]]), ...$jambs(), $head(), $above()], [], $set), ['unit:sill@500' => ['recovered', 'note', null], 'sill' => ['outer_joint' => 'pass']], 'sealed but for two gaps within 300 mm of everything'],
    'opening: outer sill joint sealed' => [openingDetail($sound, [], array_replace_recursive($set, ['unit' => ['joints' => ['sill' => ['outer' => 'sealed']]]])), ['sill' => ['outer_joint' => 'fail']], 'caulked sill joint'],
    'opening: no inner seal' => [openingDetail($sound, [], array_replace_recursive($set, ['unit' => ['joints' => ['sill' => ['inner' => false]]]])), ['sill' => ['inner_seal' => 'fail']], 'the inner joint carries the air seal'],
    'opening: pan without end dams' => [openingDetail([$sheet(), piece('pan', 'formable', 2, [['sill', [0, 0, 1000, 140], ['joined' => ['p']]], ['face', [-75, -75, 1075, 0], ['joined' => ['p']]]], ['role' => 'pan', 'air' => true]), piece('liner-left', 'membrane', 3, [['jamb-left', [0, 0, 140, 1000], ['joined' => ['l']]], ['face', [-75, 0, 0, 1000], ['joined' => ['l']]]]), $liners()[1], $unit(), ...$jambs(), $head(), $above()], [], $set), ['unit:jamb-left@40' => ['wets substrate', 'fail', 0], 'sill' => ['end_dams' => 'fail', 'pan_upturn' => 'fail'], 'corners' => ['bottom-left' => 'fail', 'bottom-right' => 'fail']], 'at the corner liner and pan only meet: water goes between them'],
    'opening: low upturn' => [openingDetail([$sheet(), piece('pan', 'formable', 2, [['sill', [0, 0, 1000, 140], ['joined' => ['p']]], ['jamb-left', [0, 0, 140, 90], ['joined' => ['p']]], ['jamb-right', [0, 0, 140, 60], ['joined' => ['p']]], ['face', [-75, -75, 1075, 0], ['joined' => ['p']]], ['face', [-75, 0, 0, 90], ['joined' => ['p']]], ['face', [1000, 0, 1075, 60], ['joined' => ['p']]]], ['role' => 'pan'])], [], ['pan_upturn_mm' => 150]), ['sill' => ['pan_upturn' => 'fail', 'end_dams' => 'pass']], '60 of 150 is less than half'],
    'opening: upturn between half and all' => [openingDetail([$sheet(), piece('pan', 'formable', 2, [['sill', [0, 0, 1000, 140], ['joined' => ['p']]], ['jamb-left', [0, 0, 140, 90], ['joined' => ['p']]], ['jamb-right', [0, 0, 140, 100], ['joined' => ['p']]], ['face', [-75, -75, 1075, 0], ['joined' => ['p']]]], ['role' => 'pan'])], [], ['pan_upturn_mm' => 150]), ['sill' => ['pan_upturn' => 'caution']], '90 of 150'],
    'opening: pan of flat membrane' => [openingDetail([$sheet(), $pan(['kind' => 'membrane', 'material' => 'membrane-sbs']), ...$liners(), $unit(), ...$jambs(), $head(), $above()], [], $set), ['corners' => ['bottom-left' => 'fail', 'bottom-right' => 'fail']], 'slit corner without patch: a flat piece would need more material than it has'],
    'opening: flat pan with corner patches' => [openingDetail([$sheet(), $pan(['kind' => 'membrane', 'material' => 'membrane-sbs']), piece('bow-left', 'corner', 3, [['sill', [0, 0, 75, 140], ['joined' => ['c']]], ['jamb-left', [0, 0, 140, 75], ['joined' => ['c']]], ['face', [-75, -75, 75, 0], ['joined' => ['c']]], ['face', [-75, 0, 0, 75], ['joined' => ['c']]]]), piece('bow-right', 'corner', 3, [['sill', [925, 0, 1000, 140], ['joined' => ['c']]], ['jamb-right', [0, 0, 140, 75], ['joined' => ['c']]], ['face', [925, -75, 1075, 0], ['joined' => ['c']]], ['face', [1000, 0, 1075, 75], ['joined' => ['c']]]]), ...$liners(4), $unit([], 5), ...$jambs(6), $head(7), $above(8)], [], $set), ['corners' => ['bottom-left' => 'pass', 'bottom-right' => 'pass']], 'a bow-tie at each lower corner'],
    'opening: corner patch not joined' => [openingDetail([$sheet(), piece('bow-left', 'corner', 2, [['sill', [0, 0, 75, 140], ['joined' => ['c']]], ['jamb-left', [0, 0, 140, 75]], ['face', [-75, -75, 75, 0], ['joined' => ['c']]]])]), ['corners' => ['bottom-left' => 'fail']], 'cut at the arris it is three pieces'],
    'opening: upper corner bare' => [openingDetail([$sheet(), $pan()]), ['corners' => ['top-left' => 'fail', 'top-right' => 'fail']], 'nothing shields it'],
    'opening: sill pitched in, no dam' => [openingDetail($sound, ['sill_pitch' => 'in', 'back_dam_mm' => 0], $set), ['unit:sill@500' => ['enters inside', 'fail', 0], 'sill' => ['pitch' => 'fail']], 'sill pitched in: water runs to the room'],
    'opening: sill pitched in, dam high enough' => [openingDetail($sound, ['sill_pitch' => 'in', 'back_dam_mm' => 41], $set), ['unit:sill@500' => ['ponds', 'caution', null]], 'the dam holds head and fall, 31 + 10'],
    'opening: level sill, low dam' => [openingDetail($sound, ['sill_pitch' => 'level', 'sill_fall_mm' => 0, 'back_dam_mm' => 25], $set), ['unit:sill@500' => ['enters inside', 'fail', 0], 'sill' => ['pitch' => 'caution']], 'water stands, and wind lifts it 31 mm over a dam of 25'],
    'opening: level sill, dam high enough' => [openingDetail($sound, ['sill_pitch' => 'level', 'sill_fall_mm' => 0, 'back_dam_mm' => 35], $set), ['unit:sill@500' => ['ponds', 'caution', null]], 'water stands, and goes on outward'],
    'opening: pitched out, fall and dam less than the head' => [openingDetail($sound, ['sill_fall_mm' => 5, 'back_dam_mm' => 0], $set), ['sill' => ['pitch' => 'caution']], '5 + 0 is less than 31'],
    'opening: no unit yet, water drips onto the pan' => [openingDetail([$sheet(), $pan(), ...$liners(), one('above', 'sheet', 4, [-500, 1000, 1500, 1500])]), ['top@500' => ['shed', 'pass', null]], 'off the arris onto the outer end of the sill, and out over the pan’s leg'],
    'opening: no unit, bare sill' => [openingDetail([$sheet(), one('above', 'sheet', 4, [-500, 1000, 1500, 1500])]), ['top@500' => ['wets substrate', 'fail', 0]], 'it drips onto bare wood'],
    'opening: flange over the head joint, sheet cut at the head' => [openingDetail([$sheet(), $pan(), ...$liners(), $unit(), ...$jambs(), one('above', 'sheet', 3, [-500, 1000, 1500, 1500])], [], $set), ['top@500' => ['relies on seal', 'caution', 1]], 'no head strip: the flange’s sealed top is all there is'],
    'opening: flange not sealed at the head' => [openingDetail([$sheet(), $pan(), ...$liners(), $unit(['top' => 'open']), ...$jambs(), one('above', 'sheet', 3, [-500, 1000, 1500, 1500])], [], $set), ['top@500' => ['wets substrate', 'fail', 0]], 'behind the flange into the head joint'],
    'jamb before sill' => [wallDetail([one('jamb', 'membrane', 1, [300, 200, 500, 1000]), one('sill', 'sheet', 2, [0, 0, 1000, 260])]), ['top@400' => ['wets substrate', 'fail', 0]], 'the jamb strip’s water gets behind the sill sheet at its open top, and the strip ends'],
    'sill before jamb' => [wallDetail([one('sill', 'sheet', 1, [0, 0, 1000, 260]), one('jamb', 'membrane', 2, [300, 200, 500, 1000])]), ['top@400' => ['shed', 'pass', null]], 'the strip drops it onto the sill sheet'],
    'under-sill sheet: lapped the wrong way' => [wallDetail([one('under-sill', 'sheet', 1, [0, 300, 1000, 800]), one('lower', 'sheet', 2, [0, 0, 1000, 500]), one('pan-leg', 'sheet', 3, [0, 700, 1000, 1000])]), ['top@500' => ['wets substrate', 'fail', 0]], 'the lower course goes over its foot: its open top takes the water'],
    'under-sill sheet: cured' => [wallDetail([one('lower', 'sheet', 1, [0, 0, 1000, 500]), one('under-sill', 'sheet', 2, [0, 300, 1000, 800]), one('pan-leg', 'sheet', 3, [0, 700, 1000, 1000])]), ['top@500' => ['shed', 'pass', null]], 'the lower course goes under its foot'],

    // --- laps --------------------------------------------------------------------------------------------------------------------------
    'lap: horizontal, enough' => [wallDetail([one('low', 'sheet', 1, [0, 0, 1000, 500]), one('up', 'sheet', 2, [0, 400, 1000, 1000])], ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100]]]), ['laps' => [['up', 'low', 'horizontal', 100.0, false, 'pass']]], 'just the figure'],
    'lap: horizontal, half or more' => [wallDetail([one('low', 'sheet', 1, [0, 0, 1000, 450]), one('up', 'sheet', 2, [0, 400, 1000, 1000])], ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100]]]), ['laps' => [['up', 'low', 'horizontal', 50.0, false, 'caution']]], 'half of it'],
    'lap: horizontal, under half, reversed' => [wallDetail([one('up', 'sheet', 1, [0, 400, 1000, 1000]), one('low', 'sheet', 2, [0, 0, 1000, 449])], ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100]]]), ['laps' => [['low', 'up', 'horizontal', 49.0, true, 'fail']]], 'reversed laps are measured too and marked'],
    'lap: end' => [wallDetail([one('left', 'sheet', 1, [0, 0, 600, 1000]), one('right', 'sheet', 2, [450, 0, 1000, 1000])], ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100, 'end_mm' => 150]]]), ['laps' => [['right', 'left', 'end', 150.0, false, 'pass']]], 'side by side'],
    'lap: a cover is none' => [wallDetail([one('a', 'sheet', 1, $full), one('patch', 'membrane', 2, [300, 300, 600, 600])]), ['laps' => []], 'one within the other’s range'],
    'lap: a third between is none' => [wallDetail([one('low', 'sheet', 1, [0, 0, 1000, 500]), one('mid', 'sheet', 2, [0, 300, 1000, 600]), one('up', 'sheet', 3, [0, 400, 1000, 1000])], ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100]]]), ['laps' => [['mid', 'low', 'horizontal', 200.0, false, 'pass'], ['up', 'mid', 'horizontal', 200.0, false, 'pass']]], 'the two that touch are measured, not those the third keeps apart'],
    'lap: staggered both ways' => [wallDetail([one('low', 'sheet', 1, [0, 0, 700, 500]), one('up', 'sheet', 2, [300, 400, 1000, 1000])], ['least_laps' => [['outer' => 'sheet', 'inner' => 'sheet', 'horizontal_mm' => 100, 'end_mm' => 150]]]), ['laps' => [['up', 'low', 'horizontal', 100.0, false, 'pass']]], 'wider than tall: horizontal'],

    // --- upright joints ----------------------------------------------------------------------------------------------------------------
    'joint: boards butted, nothing else' => [wallDetail([one('l', 'board', 1, [0, 0, 500, 1000]), one('r', 'board', 1, [500, 0, 1000, 1000])]), ['joints' => [[500.0, [0.0, 1000.0], 'fail']]], 'open to the substrate'],
    'joint: taped' => [wallDetail([one('l', 'board', 1, [0, 0, 500, 1000]), one('r', 'board', 1, [500, 0, 1000, 1000]), one('t', 'tape', 2, [450, 0, 550, 1000])]), ['joints' => [[500.0, [0.0, 1000.0], 'pass']]], 'a patch lies across it outboard of both'],
    'joint: sheet behind' => [wallDetail([one('s', 'sheet', 1, $full), one('l', 'board', 2, [0, 0, 500, 1000]), one('r', 'board', 2, [500, 0, 1000, 1000])]), ['joints' => [[500.0, [0.0, 1000.0], 'note']]], 'only inboard'],
    'joint: one edge sealed' => [wallDetail([one('l', 'fluid', 1, [0, 0, 500, 1000]), one('r', 'board', 1, [500, 0, 1000, 1000])]), ['joints' => [[500.0, [0.0, 1000.0], 'note']]], 'a seal at one of the edges'],
    'joint: tape stops short' => [wallDetail([one('l', 'board', 1, [0, 0, 500, 1000]), one('r', 'board', 1, [500, 0, 1000, 1000]), one('t', 'tape', 2, [450, 300, 550, 1000])]), ['joints' => [[500.0, [0.0, 300.0], 'fail'], [500.0, [300.0, 1000.0], 'pass']]], 'each stretch for itself'],
    'joint: slit of a flap under tape' => [wallDetail([piece('s', 'sheet', 1, [['face', [0, 0, 500, 1000]], ['face', [500, 0, 1000, 1000], ['step' => 3]]]), one('t', 'tape', 4, [425, 0, 575, 1000])]), ['joints' => [[500.0, [0.0, 1000.0], 'pass']]], 'a slit in one piece is such a line'],
    'joint: joined, none' => [wallDetail([piece('s', 'sheet', 1, [['face', [0, 0, 500, 1000], ['joined' => ['j']]], ['face', [500, 0, 1000, 1000], ['joined' => ['j']]]])]), ['joints' => []], 'no edge where patches are joined'],

    // --- head and air ------------------------------------------------------------------------------------------------------------------
    'head: strip longer than the flap' => [wallDetail([one('h', 'metal', 1, [100, 300, 900, 500], ['role' => 'head-flashing', 'edges' => ['top' => 'open']]), one('flap', 'sheet', 2, [200, 400, 800, 1000], ['role' => 'plane'])]), ['head' => ['h' => 'fail']], 'the worst over its length: at its ends nothing covers the top'],
    'head: sealed top' => [wallDetail([one('a', 'sheet', 1, $full, ['role' => 'plane']), one('h', 'metal', 2, [100, 300, 900, 500], ['role' => 'head-flashing', 'edges' => ['top' => 'sealed']])]), ['head' => ['h' => 'note']], 'not under the water plane: by its edge, sealed'],
    'air: fastened lap is no contact' => [openingDetail([$sheet(), one('unit', 'unit', 4, [-25, -25, 1025, 1025], ['air' => true])], [], ['unit' => ['z' => [0, 80], 'flange' => 'unit', 'joints' => ['sill' => ['outer' => 'open', 'inner' => true]]]]), ['air' => ['sill' => false, 'head' => false, 'jamb-left' => false, 'jamb-right' => false]], 'an inner seal on bare wood: nothing joins it to the wall’s air layer'],
    'air: sealed flange' => [openingDetail([$sheet(), $unit()], [], ['unit' => ['z' => [0, 80], 'flange' => 'unit']]), ['air' => ['sill' => false, 'jamb-left' => true, 'jamb-right' => true]], 'the flange sealed to the air layer itself, but for its bottom'],
];
