<?php

declare(strict_types=1);

namespace Apron\Material;

/** The families of what sticks. */
enum Sticks: string
{
    case Acrylic = 'acrylic';
    case Butyl = 'butyl';
    case Sbs = 'sbs';
    case Silicone = 'silicone';
    case Polyurethane = 'polyurethane';
    case Silyl = 'silyl';
    case AcrylicLatex = 'acrylic-latex';
    case PolyurethaneFoam = 'polyurethane-foam';
    case ImpregnatedFoam = 'impregnated-foam';
    case PrimerSolvent = 'primer-solvent';
    case PrimerWater = 'primer-water';
    case PrimerEpoxy = 'primer-epoxy';
    case MasticSolvent = 'mastic-solvent';
    case FluidAcrylic = 'fluid-acrylic';
    case FluidSilyl = 'fluid-silyl';
    case FluidSilicone = 'fluid-silicone';
    case FluidBitumen = 'fluid-bitumen';
    case FluidPolyurethane = 'fluid-polyurethane';
    case Mortar = 'mortar';
}
