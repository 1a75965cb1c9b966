<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api;
use App\Http\Body;
use App\Models\Project;
use App\Project\StoredProject;
use Apron\Contact\AskedFormat;
use Apron\Drafting\Uses;
use Apron\Project\ContactSheet;
use Apron\Sealant\Coating;
use Apron\Sealant\CoatOn;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** What touches in a project, and a pair that somebody asks about. */
class ContactController
{
    public function __construct(private readonly StoredProject $stored)
    {
    }

    #[
        Api\Get(
            '/api/projects/{project}/contacts',
            id: 'contacts',
            answers: [
                200 => ['every pair that touches, worst first', 'ContactSheet'],
            ],
            queries: ['month'],
        ),
    ]
    public function show(Request $request, Project $project): JsonResponse
    {
        $month = $request->validate(['month' => 'nullable|integer|between:1,12'])['month'] ?? null;

        return new JsonResponse(
            ContactSheet::of($this->stored->withoutRecord($project), $month === null ? null : (int) $month),
        );
    }

    /** A pair judged before anything is drawn; not stored. */
    #[
        Api\Post(
            '/api/projects/{project}/contacts/ask',
            id: 'askPair',
            answers: [
                200 => ['what comes of the pair, and what clears it', 'PairAnswer'],
                422 => 'no such material, or no such way of touching',
            ],
        ),
    ]
    public function ask(Request $request, Project $project): JsonResponse
    {
        $core = $this->stored->part($project);
        $asked = AskedFormat::read(Body::content($request), $core->materials);

        return new JsonResponse(ContactSheet::answer($asked, $core));
    }

    /** What a film takes: wet from dry, litres, packs, coats, and the vapour that it lets through. */
    #[
        Api\Post(
            '/api/projects/{project}/film',
            id: 'film',
            answers: [
                200 => ['wet film, litres, packs, gauge', 'Film'],
                422 => 'a film or an area that makes no sense, or no coat',
            ],
        ),
    ]
    public function film(Request $request, Project $project): JsonResponse
    {
        $given = $request->validate([
            'material' => 'required|string|max:80',
            'dry_mm' => 'required|numeric|gt:0|max:20',
            'area_m2' => 'required|numeric|gt:0|max:1000000',
            'on' => ['required', Rule::enum(CoatOn::class)],
            'joints_m' => 'nullable|numeric|min:0|max:1000000',
        ]);
        $product = $this->stored->part($project)->materials->find($given['material']);
        abort_if($product === null, 422, 'There is no such material in the project or the catalogue.');
        abort_if(! Uses::takes('fluid_material', $product), 422, "{$product->name} is no coat.");
        $coating = new Coating(
            $product,
            (float) $given['dry_mm'],
            (float) $given['area_m2'],
            CoatOn::from($given['on']),
            (float) ($given['joints_m'] ?? 0),
        );

        return new JsonResponse([
            'wet_mm' => $coating->film->wetMm(),
            'dry_mm' => $coating->film->dryMm,
            'solids_pct' => 100 * $coating->solids(),
            'coats' => $coating->coats(),
            'litres' => $coating->litres(),
            'packs' => $coating->packs(),
            'readings' => $coating->readings(),
            'least_reading_mm' => $coating->leastReadingMm(),
            'permeance_ng_pa_s_m2' => $coating->permeance(),
        ]);
    }

    #[
        Api\Get(
            '/api/projects/{project}/contacts.csv',
            id: 'contactsCsv',
            answers: [
                200 => 'the compatibility schedule as CSV',
            ],
        ),
    ]
    public function csv(Project $project): Response
    {
        return new Response(ContactSheet::csv($this->stored->withoutRecord($project)), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="contacts.csv"',
        ]);
    }
}
