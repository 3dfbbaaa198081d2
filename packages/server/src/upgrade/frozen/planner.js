// The planner and the record of Ythrion 0.1.0 as they stood, in one file, built once from their sources and never edited.
// It reads what that version wrote: for the migration of data files, for documents of version 1 and 2, and as the old
// side of comparisons. Nothing else may import it.
import { z } from "zod";
// packages/core/src/figure/fieldError.ts
/** An entry that cannot be: says which field, what was wrong, and what would be right. */
var FieldError = class extends Error {
	field;
	name = "FieldError";
	constructor(field, message) {
		super(message);
		this.field = field;
	}
};
// packages/core/src/acid/acidDose.ts
/**
* Acids as a dyer buys them. Vinegar and citric solution are poured in mL, crystals weighed in g.
* Molar masses: CRC Handbook of Chemistry and Physics (acetic 60.052, citric anhydrous 192.124 g/mol).
*/
var ACIDS = {
	vinegar: {
		label: "white vinegar",
		short: "vinegar",
		acid: "acetic acid",
		unit: "mL",
		molarMass: 60.052,
		protons: 1,
		usualStrength: 5
	},
	citric: {
		label: "citric acid crystals",
		short: "citric",
		acid: "citric acid",
		unit: "g",
		molarMass: 192.124,
		protons: 3,
		usualStrength: 100
	},
	"citric solution": {
		label: "citric acid solution",
		short: "citric solution",
		acid: "citric acid",
		unit: "mL",
		molarMass: 192.124,
		protons: 3,
		usualStrength: 10
	}
};
/** Grams of pure acid in a measured amount. @param strengthPercent % w/v of a liquid, % by mass of crystals */
function pureAcidGrams(amount, strengthPercent) {
	return amount * strengthPercent / 100;
}
/**
* One acid dose in every basis. Exact.
* @param material what is in the bottle
* @param strengthPercent vinegar and solution: g acid per 100 mL; crystals: % pure (monohydrate is 91.4)
* @param basis how `value` is meant: pure acid per liter of bath, pure acid on weight of goods, or the measured amount
* @param bathLiters finished bath, L, > 0
* @param wogGrams dry goods, g, > 0
* @throws FieldError when strength, bath or goods are not positive
*/
function acidAmounts(material, strengthPercent, basis, value, bathLiters, wogGrams) {
	if (!(strengthPercent > 0 && strengthPercent <= 100)) throw new FieldError("acid.strengthPercent", "Acid strength must be more than 0 and at most 100 %.");
	if (!(bathLiters > 0)) throw new FieldError("water", "The bath must hold more than zero liters.");
	if (!(wogGrams > 0)) throw new FieldError("goods", "The goods must weigh more than zero grams.");
	const pureGrams = basis === "gPerL" ? value * bathLiters : basis === "percentOfGoods" ? value * wogGrams / 100 : pureAcidGrams(value, strengthPercent);
	const facts = ACIDS[material];
	return {
		pureGrams,
		amount: 100 * pureGrams / strengthPercent,
		unit: facts.unit,
		gPerL: pureGrams / bathLiters,
		percentOfGoods: 100 * pureGrams / wogGrams,
		milliequivalents: 1e3 * pureGrams * facts.protons / facts.molarMass
	};
}
/**
* The dose of another acid that carries as many protons: the plain equal-equivalents figure. Citric acid gives
* up its third proton only near pH 6.4, so this is a first figure, not an equal pH.
* @returns mL or g of the other material
*/
function equalEquivalents(milliequivalents, other, otherStrengthPercent) {
	const facts = ACIDS[other];
	return 100 * (milliequivalents * facts.molarMass / facts.protons / 1e3) / otherStrengthPercent;
}
// packages/core/src/amounts/premix.ts
/**
* A mass of powder as the single dyes in it: a premix is taken apart by its parts, however deep it is nested.
* Exact; the masses add up to `grams`.
* @param grams mass of the powder, g
* @throws FieldError when a premix holds itself, or a powder it names is not there
*/
function singleDyes(dyeId, grams, dyes) {
	const found = /* @__PURE__ */ new Map();
	const take = (id, mass, within) => {
		const dye = dyes.find((candidate) => candidate.id === id);
		if (!dye) throw new FieldError("madeOf", `There is no dye with the id “${id}” for this premix.`);
		if (within.includes(id)) throw new FieldError("madeOf", `“${dye.name}” holds itself: ${[...within.slice(within.indexOf(id)), id].join(" → ")}. Take it out of the premix.`);
		if (dye.madeOf.length === 0) {
			found.set(id, (found.get(id) ?? 0) + mass);
			return;
		}
		const total = dye.madeOf.reduce((sum, part) => sum + part.parts, 0);
		for (const part of dye.madeOf) take(part.dyeId, mass * part.parts / total, [...within, id]);
	};
	take(dyeId, grams, []);
	return [...found].map(([id, mass]) => ({
		dyeId: id,
		grams: mass
	}));
}
/** The ids of everything a powder is made of, itself first. @throws FieldError as `singleDyes` */
function powdersWithin(dyeId, dyes, within = []) {
	const dye = dyes.find((candidate) => candidate.id === dyeId);
	if (!dye || within.includes(dyeId)) {
		singleDyes(within[0] ?? dyeId, 1, dyes);
		return [];
	}
	return [dyeId, ...dye.madeOf.flatMap((part) => powdersWithin(part.dyeId, dyes, [...within, dyeId]))];
}
// packages/core/src/shelf/fibers.ts
var PROTEIN = [85, 98];
/** The fibers a hand dyer meets, with their usual set windows. */
var FIBERS = {
	wool: {
		label: "wool",
		takesAcidDye: true,
		felts: true,
		setWindow: PROTEIN
	},
	merino: {
		label: "merino",
		takesAcidDye: true,
		felts: true,
		setWindow: PROTEIN
	},
	alpaca: {
		label: "alpaca",
		takesAcidDye: true,
		felts: true,
		setWindow: PROTEIN
	},
	mohair: {
		label: "mohair",
		takesAcidDye: true,
		felts: true,
		setWindow: [80, 93]
	},
	cashmere: {
		label: "cashmere",
		takesAcidDye: true,
		felts: true,
		setWindow: [80, 90]
	},
	yak: {
		label: "yak",
		takesAcidDye: true,
		felts: true,
		setWindow: [80, 93]
	},
	silk: {
		label: "silk",
		takesAcidDye: true,
		setWindow: [75, 88]
	},
	nylon: {
		label: "nylon",
		takesAcidDye: true,
		setWindow: PROTEIN
	},
	cotton: {
		label: "cotton",
		takesAcidDye: false
	},
	linen: {
		label: "linen",
		takesAcidDye: false
	},
	viscose: {
		label: "viscose",
		takesAcidDye: false
	},
	polyester: {
		label: "polyester",
		takesAcidDye: false
	},
	acrylic: {
		label: "acrylic",
		takesAcidDye: false
	},
	metallic: {
		label: "metal filament",
		takesAcidDye: false
	}
};
var FIBER_NAMES = Object.keys(FIBERS);
/** Facts of a fiber under their general type. */
var fiberFacts = (fiber) => FIBERS[fiber];
// packages/core/src/amounts/dyeableShare.ts
/**
* Share of a yarn that takes acid dye, from its fiber content: protein fibers and nylon do, plant fiber,
* polyester, acrylic and metal filament do not.
* @returns a fraction, 0 to 1. Exact on the label's content.
*/
function dyeableShare(fibers) {
	const dyeable = fibers.filter((share) => FIBERS[share.fiber].takesAcidDye).reduce((sum, share) => sum + share.percent, 0);
	return Math.min(1, dyeable / 100);
}
// packages/core/src/figure/figure.ts
/**
* Builds a figure and refuses a value that is not a finite number, so that no screen can ever show NaN.
* @throws RangeError when `value` is NaN or infinite.
*/
function figure(value, unit, because, sureness = "exact", source) {
	if (!Number.isFinite(value)) throw new RangeError(`A figure in ${unit} came out as ${value}: ${because}`);
	return source === void 0 ? {
		value,
		unit,
		sureness,
		because
	} : {
		value,
		unit,
		sureness,
		because,
		source
	};
}
// packages/core/src/figure/plainNumber.ts
/** A number as it stands in an explanation: enough figures to check the arithmetic, no trailing zeros. */
var plainNumber = (value) => Number.isInteger(value) ? String(value) : String(Number(value.toPrecision(9)));
// packages/core/src/heat/heatUp.ts
/** Specific heat of water, and of wool-like fiber, J per g and kelvin. */
var WATER_J_PER_G_K = 4.186;
var FIBER_J_PER_G_K = 1.36;
/** Heat that bath, goods and vessel take up together, J/K. */
function heatCapacityJPerK(waterMl, fiberGrams, vesselJPerK) {
	return waterMl * WATER_J_PER_G_K + fiberGrams * FIBER_J_PER_G_K + vesselJPerK;
}
/**
* Minutes to bring a bath from one temperature to another on a ring, losing heat to the room as it warms:
* C dT/dt = P η − k (T − room). The model is established; the vessel's data are an estimate.
* @param capacityJPerK of bath, goods and vessel
* @returns minutes; Infinity when the ring cannot hold the pot that hot
*/
function heatUpMinutes(vessel, capacityJPerK, fromC, toC, roomC) {
	if (toC <= fromC) return 0;
	const watts = vessel.powerWatts * vessel.efficiencyPercent / 100;
	if (vessel.lossWPerK === 0) return capacityJPerK * (toC - fromC) / watts / 60;
	const left = watts - vessel.lossWPerK * (toC - roomC);
	if (left <= 0) return Number.POSITIVE_INFINITY;
	const atStart = watts - vessel.lossWPerK * (fromC - roomC);
	return capacityJPerK / vessel.lossWPerK * Math.log(atStart / left) / 60;
}
/**
* Minutes for a pot taken off the heat to cool in place, by Newton's law: ln((T0 − room) / (T1 − room)) × C / k.
* @returns minutes; Infinity when the room is no colder than the end, or nothing is lost
*/
function coolDownMinutes(lossWPerK, capacityJPerK, fromC, toC, roomC) {
	if (fromC <= toC) return 0;
	if (toC <= roomC || lossWPerK === 0) return Number.POSITIVE_INFINITY;
	return capacityJPerK / lossWPerK * Math.log((fromC - roomC) / (toC - roomC)) / 60;
}
// packages/core/src/heat/planHeat.ts
var PRACTICE$2 = "common practice, no source";
/**
* Minutes from one temperature to another: as slow as the rise that was decided, or as the ring can, whichever is
* slower. An estimate.
* @param rampCPerMin decided rise, °C per minute, > 0
*/
function riseFigure(bath, fromC, toC, rampCPerMin) {
	const gentle = Math.max(0, (toC - fromC) / rampCPerMin);
	const slow = ringMinutes(bath, fromC, toC);
	if (slow !== null && Number.isFinite(slow) && slow > gentle) return figure(slow, "min", `${bath.pot?.name ?? "the ring"}: ${heatCapacityJPerK(bath.waterMl, bath.fiberGrams, bath.pot?.vesselJPerK ?? 0).toFixed(0)} J/K from ${fromC.toFixed(0)} to ${toC} °C on ${bath.pot?.powerWatts ?? 0} W at ${bath.pot?.efficiencyPercent ?? 0} %; slower than ${rampCPerMin} °C/min`, "estimate", "heat balance; vessel data as entered");
	return figure(gentle, "min", `(${toC} °C − ${fromC.toFixed(0)} °C) ÷ ${rampCPerMin} °C/min = ${gentle.toFixed(0)} min`, "estimate", PRACTICE$2);
}
/** Minutes the pot's ring needs; null when its power is not known, Infinity when it cannot. */
function ringMinutes({ waterMl, fiberGrams, pot, roomC }, fromC, toC) {
	if (pot?.powerWatts === null || pot?.powerWatts === void 0) return null;
	const capacity = heatCapacityJPerK(waterMl, fiberGrams, pot.vesselJPerK);
	return heatUpMinutes({
		...pot,
		powerWatts: pot.powerWatts
	}, capacity, fromC, toC, roomC);
}
// packages/core/src/color/srgb.ts
/** sRGB transfer functions, IEC 61966-2-1. Channels run 0 to 1. */
var toLinear = (encoded) => encoded <= .04045 ? encoded / 12.92 : ((encoded + .055) / 1.055) ** 2.4;
var toEncoded = (linear) => linear <= .0031308 ? linear * 12.92 : 1.055 * linear ** (1 / 2.4) - .055;
/** The 256 channel values a screen knows, once. */
var LINEAR = Array.from({ length: 256 }, (_, value) => toLinear(value / 255));
/** Linear-light channels of `#rrggbb`. */
function linearRgb(hex) {
	const all = Number.parseInt(hex.slice(1), 16);
	return [
		LINEAR[all >> 16 & 255] ?? 0,
		LINEAR[all >> 8 & 255] ?? 0,
		LINEAR[all & 255] ?? 0
	];
}
/** `#rrggbb` of linear-light channels, clamped to the screen's gamut. */
function rgbHex(rgb) {
	const channel = (linear) => Math.round(255 * toEncoded(Math.min(1, Math.max(0, linear)))).toString(16).padStart(2, "0");
	return `#${rgb.map(channel).join("")}`;
}
// packages/core/src/color/drawnColor.ts
var kOverS = (r) => {
	const bounded = Math.min(.995, Math.max(.004, r));
	return (1 - bounded) ** 2 / (2 * bounded);
};
var reflectance = (q) => 1 + q - Math.sqrt(q * q + 2 * q);
var WOOL_K_OVER_S = linearRgb("#efe9dc").map(kOverS);
/**
* The color to draw for goods after these dyes: single-constant Kubelka-Munk on three broad bands (linear
* red, green, blue), K/S of the ground plus each dye's own K/S in proportion to depth.
* An estimate for drawing only: three picked numbers cannot tell two dyes with the same swatch apart.
* Source of the K/S relation: P. Kubelka, J. Opt. Soc. Am. 38, 448 (1948).
*/
function drawnColor(groundHex, dyes) {
	const ground = linearRgb(groundHex);
	const swatches = dyes.map((dye) => ({
		rgb: linearRgb(dye.swatchHex),
		ratio: dye.dosPercent / dye.swatchDosPercent
	}));
	const band = (i) => {
		const dyed = swatches.reduce((sum, { rgb, ratio }) => sum + ratio * Math.max(0, kOverS(rgb[i]) - WOOL_K_OVER_S[i]), 0);
		return reflectance(kOverS(ground[i]) + dyed);
	};
	return rgbHex([
		band(0),
		band(1),
		band(2)
	]);
}
/**
* The color to draw for a bath: light through 4 cm of water with the dyes in it (Beer-Lambert on three bands,
* absorbance taken from each dye's swatch). An estimate for drawing only.
* @param gramsPerLiter dye in the bath, per dye
*/
function drawnBathColor(dyes) {
	const water = [
		.82,
		.82,
		.82
	];
	const through = (i) => dyes.reduce((light, dye) => light * Math.max(.01, linearRgb(dye.swatchHex)[i]) ** (2.2 * dye.gramsPerLiter / dye.swatchDosPercent), water[i]);
	return rgbHex([
		through(0),
		through(1),
		through(2)
	]);
}
// packages/core/src/skein/yarnLook.ts
/** Goods in one color. */
var plainLook = (hex) => ({
	bands: [{
		share: 1,
		hex
	}],
	across: false,
	unevenness: .12,
	speckles: []
});
/** Most bands a hank is drawn with; more cannot be told apart at the size of a hank. */
var MOST_BANDS = 48;
/** Lays dye over stretches of the loop; what lies outside every stretch keeps its color. */
function dyeStretches(look, stretches) {
	const [whole] = stretches;
	if (whole && stretches.length === 1 && whole.from <= 0 && whole.to >= 1) return {
		...look,
		bands: look.bands.map(({ share, hex }) => ({
			share,
			hex: drawnColor(hex, whole.dyes)
		}))
	};
	const cuts = /* @__PURE__ */ new Set([0, 1]);
	let at = 0;
	for (const band of look.bands) {
		at += band.share;
		cuts.add(Math.min(1, at));
	}
	for (const { from, to } of stretches) {
		cuts.add(Math.max(0, Math.min(1, from)));
		cuts.add(Math.max(0, Math.min(1, to)));
	}
	const edges = [...cuts].toSorted((a, b) => a - b);
	const bands = [];
	edges.slice(1).forEach((end, i) => {
		const start = edges[i] ?? 0;
		const share = end - start;
		if (share < 1e-6 || bands.length >= MOST_BANDS) return;
		const middle = (start + end) / 2;
		const dyes = stretches.filter(({ from, to }) => middle > from && middle < to).flatMap((one) => one.dyes);
		const ground = colorAt(look, middle);
		bands.push({
			share,
			hex: dyes.length === 0 ? ground : drawnColor(ground, dyes)
		});
	});
	return {
		...look,
		bands
	};
}
/** Color at a place along the loop, 0 to 1. */
function colorAt(look, place) {
	let end = 0;
	for (const band of look.bands) {
		end += band.share;
		if (place <= end + 1e-9) return band.hex;
	}
	return look.bands.at(-1)?.hex ?? "#efe9dc";
}
/** One color for the whole, speckles counted by how much they cover. */
function averageHex(look) {
	const sum = [
		0,
		0,
		0
	];
	const add = (hex, weight) => linearRgb(hex).forEach((channel, i) => sum[i] = (sum[i] ?? 0) + channel * weight);
	const covered = Math.min(.9, look.speckles.reduce((total, speckle) => total + speckle.cover, 0));
	const total = look.speckles.reduce((all, speckle) => all + speckle.cover, 0) || 1;
	for (const band of look.bands) add(band.hex, band.share * (1 - covered));
	for (const speckle of look.speckles) add(speckle.hex, covered * speckle.cover / total);
	return rgbHex([
		sum[0] ?? 0,
		sum[1] ?? 0,
		sum[2] ?? 0
	]);
}
// packages/core/src/units/formatQuantity.ts
/** Decimals that a bench can use for a value of this size: three figures, never more than three decimals. */
function decimals(value) {
	const size = Math.abs(value);
	if (size === 0) return 0;
	if (size < 1) return 3;
	if (size < 10) return 2;
	if (size < 100) return 1;
	return 0;
}
var trimmed = (value, places) => {
	const text = value.toFixed(places);
	return text.includes(".") ? text.replace(/\.?0+$/, "") : text;
};
/**
* A value in its canonical unit as a dyer reads it: large volumes in liters, long times in hours, money with cents.
* No more figures than can be weighed or read.
*/
function showAmount(value, unit) {
	if (unit === "mL" && Math.abs(value) >= 1e3) return {
		number: trimmed(value / 1e3, 2),
		unit: "L"
	};
	if (unit === "mL") return {
		number: trimmed(value, Math.abs(value) < 1 ? 2 : Math.abs(value) < 100 ? 1 : 0),
		unit
	};
	if (unit === "g" && Math.abs(value) >= 1e4) return {
		number: trimmed(value / 1e3, 2),
		unit: "kg"
	};
	if (unit === "min" && value >= 60) return {
		number: hoursAndMinutes(value),
		unit: ""
	};
	if (unit === "min") return {
		number: trimmed(value, value < 10 ? 1 : 0),
		unit
	};
	if (unit === "pH") return {
		number: `pH ${value.toFixed(1)}`,
		unit: ""
	};
	if (unit === "°C") return {
		number: trimmed(value, 0),
		unit
	};
	if (unit === "cents") return {
		number: (value / 100).toFixed(2),
		unit: ""
	};
	if (unit === "mL/g") return {
		number: `1:${trimmed(value, value < 10 ? 1 : 0)}`,
		unit: ""
	};
	return {
		number: trimmed(value, decimals(value)),
		unit
	};
}
/** `showAmount` as one text. */
function formatAmount(value, unit) {
	const shown = showAmount(value, unit);
	return shown.unit === "" ? shown.number : `${shown.number} ${shown.unit}`;
}
function hoursAndMinutes(minutes) {
	const rounded = Math.round(minutes);
	const hours = Math.floor(rounded / 60);
	const rest = rounded % 60;
	return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}
// packages/core/src/recipe/cautions.ts
/** Every caution that any of the steps carries, in the order they come up. */
function cautionsOf(steps) {
	return [...new Set(steps.flatMap((step) => step.cautions))];
}
// packages/core/src/recipe/lineGrams.ts
/** Dry mass of a line of goods, g: as weighed, or count × nominal. */
var lineGrams = (line) => line.weighedGrams ?? line.count * line.gramsEach;
// packages/core/src/shelf/water.ts
/** Middling tap water, until the studio says otherwise (common practice, no source). */
var DEFAULT_WATER = {
	alkalinityMgPerL: 100,
	countFiberUptake: true
};
/** Sea level and a usual room, until the studio says otherwise (common practice, no source). */
var DEFAULT_PLACE = {
	altitudeM: 0,
	tapC: 20,
	roomC: 20
};
// packages/core/src/recipe/materials.ts
/** Finds a thing by id, or says which field names something unknown. @throws FieldError */
function named(things, id, field, what) {
	const found = things.find((thing) => thing.id === id);
	if (!found) throw new FieldError(field, `There is no ${what} with the id “${id}”. Name one that is on the shelf.`);
	return found;
}
/**
* Puts a recipe together with just the materials it names, so that it can be kept and planned by itself.
* @throws FieldError when an id is unknown, or a jar holds another dye than the line that pours from it
*/
function formulate(name, recipe, shelf, pot = shelf.pots?.find((candidate) => candidate.id === recipe.potId) ?? null) {
	const bases = /* @__PURE__ */ new Map();
	const dyes = /* @__PURE__ */ new Map();
	const stocks = /* @__PURE__ */ new Map();
	recipe.goods.forEach((line, i) => {
		bases.set(line.baseId, named(shelf.bases, line.baseId, `recipe.goods.${i}.baseId`, "yarn base"));
	});
	recipe.passes.forEach((pass, p) => {
		pass.dyes.forEach((line, d) => {
			const field = `recipe.passes.${p}.dyes.${d}`;
			named(shelf.dyes, line.dyeId, `${field}.dyeId`, "dye");
			for (const id of powdersWithin(line.dyeId, shelf.dyes)) dyes.set(id, named(shelf.dyes, id, `${field}.dyeId`, "dye"));
			if (line.stockId === null) return;
			const stock = named(shelf.stocks, line.stockId, `${field}.stockId`, "stock jar");
			if (stock.dyeId !== line.dyeId) throw new FieldError(`${field}.stockId`, "This jar holds another dye than the line that pours from it.");
			stocks.set(stock.id, stock);
		});
	});
	return {
		name,
		recipe,
		bases: [...bases.values()],
		dyes: [...dyes.values()],
		stocks: [...stocks.values()],
		pot,
		tools: (shelf.tools ?? []).filter((tool) => !tool.retired),
		spoons: shelf.studio?.spoons ?? "US",
		water: shelf.studio?.water ?? DEFAULT_WATER,
		place: shelf.studio?.place ?? DEFAULT_PLACE
	};
}
// packages/core/src/acid/phRange.ts
/** A pH window in words, to a tenth: `4.5 to 5.5`. */
var phRange = ([low, high]) => `${Number(low.toFixed(1))} to ${Number(high.toFixed(1))}`;
// packages/core/src/shelf/toolKinds.ts
/** What a dyer measures with. */
var TOOL_KINDS = [
	"syringe",
	"pipette",
	"cylinder",
	"jug",
	"spoon",
	"scale"
];
/** What a tool measures in. */
var toolUnit = (kind) => kind === "scale" ? "g" : "mL";
// packages/core/src/amounts/chooseTool.ts
/** More fills than this lose count at the bench (common practice, no source). */
var MOST_FILLS = 4;
/**
* An amount as one tool would measure it. A spoon only measures whole spoons.
* @returns null when the tool measures the other unit, or the amount rounds to nothing on it
*/
function readWith(tool, amount, unit) {
	if (toolUnit(tool.kind) !== unit || !(amount > 0)) return null;
	const step = tool.kind === "spoon" ? tool.capacity : tool.graduation;
	const reading = Number((Math.round(amount / step) * step).toPrecision(12));
	if (reading <= 0 || Math.abs(reading - amount) > tool.graduation / 2 + 1e-9) return null;
	const fills = Math.ceil(reading / tool.capacity - 1e-9);
	return {
		tool,
		fills,
		reading,
		errorPercent: 100 * (tool.graduation / 2) * Math.sqrt(fills) / reading
	};
}
/**
* The tool that measures an amount with the least relative error, among those that need at most four fills; when
* none does, the one with the fewest fills. Exact on the tools' graduations.
* @param amount mL, or g for a scale, > 0
* @returns null when no tool on the shelf can measure it
*/
function chooseTool(amount, unit, tools) {
	const readings = tools.flatMap((tool) => readWith(tool, amount, unit) ?? []);
	const few = readings.filter(({ fills }) => fills <= MOST_FILLS);
	const [best] = few.length > 0 ? few.toSorted((a, b) => a.errorPercent - b.errorPercent || a.fills - b.fills) : readings.toSorted((a, b) => a.fills - b.fills || a.errorPercent - b.errorPercent);
	return best ?? null;
}
/** Working dilutions a dyer makes, one part in so many. */
var RATIOS = [
	5,
	10,
	20
];
/** Volumes a working dilution is made up to, mL. */
var MAKE_UP_ML = [
	25,
	50,
	100,
	200,
	250,
	500,
	1e3
];
/**
* A working dilution that brings the reading error of a small pour under 3 %, the mildest first.
* @param volumeMl stock to pour, mL, > 0
* @param strengthPercent of the stock, % w/v
* @returns null when no dilution with these tools does
*/
function dilutionPlan(volumeMl, strengthPercent, tools) {
	for (const ratio of RATIOS) {
		const needed = volumeMl * ratio;
		for (const total of MAKE_UP_ML) {
			if (total < needed) continue;
			const take = chooseTool(total / ratio, "mL", tools);
			const makeUp = chooseTool(total, "mL", vesselsFor(total, tools));
			if (!take || !makeUp) continue;
			const diluted = strengthPercent * take.reading / makeUp.reading;
			const pour = chooseTool(volumeMl * strengthPercent / diluted, "mL", tools);
			if (!pour || pour.reading > makeUp.reading) continue;
			const errorPercent = Math.hypot(take.errorPercent, makeUp.errorPercent, pour.errorPercent);
			if (errorPercent < 3) return {
				ratio,
				take,
				makeUp,
				pour,
				strengthPercent: diluted,
				errorPercent
			};
		}
	}
	return null;
}
/** What a dilution can be made up in: it must hold all of it at once, and a vessel goes before a syringe. */
function vesselsFor(totalMl, tools) {
	const holding = tools.filter((tool) => tool.capacity >= totalMl);
	const vessels = holding.filter((tool) => tool.kind === "cylinder" || tool.kind === "jug");
	return vessels.length > 0 ? vessels : holding;
}
// packages/core/src/heat/setMethods.ts
var SET_METHODS = {
	simmer: {
		label: "simmer hold",
		range: [60, 100],
		usualC: 88,
		usualMinutes: 25,
		usualCoolMinutes: 120,
		confidence: "A full heat set for acid dyes on wool, nylon and silk."
	},
	steam: {
		label: "steam",
		range: [80, 100],
		usualC: 98,
		usualMinutes: 25,
		usualCoolMinutes: 60,
		riseMinutes: 15,
		confidence: "A full heat set once the middle of the bundle is hot; thick bundles take longer."
	},
	oven: {
		label: "low oven",
		range: [80, 110],
		usualC: 93,
		usualMinutes: 30,
		usualCoolMinutes: 90,
		riseMinutes: 20,
		confidence: "A full heat set if the goods stay wet to the end."
	},
	microwave: {
		label: "microwave",
		range: [80, 100],
		usualC: 95,
		usualMinutes: 8,
		usualCoolMinutes: 45,
		riseMinutes: 0,
		confidence: "Sets small lots; heat is uneven, so turn between bursts and check for bleeding."
	},
	"warm rest": {
		label: "warm rest",
		range: [25, 60],
		usualC: 30,
		usualMinutes: 720,
		usualCoolMinutes: 0,
		riseMinutes: 0,
		confidence: "Not equal to a heat set: some dyes will bleed. Test a wet strand before you rely on it."
	}
};
var SET_METHOD_NAMES = Object.keys(SET_METHODS);
/** Facts of a set method under their general type. */
var setMethodFacts = (method) => SET_METHODS[method];
/** Usual rise of a pot on a ring, °C per minute; also the most that non-superwash wool should see (common practice, no source). */
var USUAL_RISE_C_PER_MIN = 1.5;
// packages/core/src/heat/setWindow.ts
/**
* The heat-set window for everything in one pot: the lowest ceiling wins, and the floor never lies above it.
* Windows are common practice, no source.
* @returns undefined when nothing in the pot takes acid dye
*/
function setWindow(fibers) {
	let window;
	for (const { fiber } of fibers) {
		const range = fiberFacts(fiber).setWindow;
		if (!range) continue;
		if (!window || range[1] < window.high) window = {
			low: range[0],
			high: range[1],
			limitedBy: FIBERS[fiber].label
		};
	}
	return window;
}
// packages/core/src/shelf/jarAge.ts
/** Whole days since a jar was made; null while nobody noted when. @param today ISO 8601 */
function jarAgeDays({ madeOn }, today) {
	return madeOn === null ? null : Math.floor((Date.parse(today) - Date.parse(madeOn)) / 864e5);
}
var METHODS = {
	immersion: {
		label: "immersion",
		gives: "A full pot, stirred: solids and semisolids.",
		liquid: "water",
		dry: false,
		hot: true,
		usual: { kind: "immersion" }
	},
	"low immersion": {
		label: "low immersion pan",
		gives: "Water just at the goods, color dropped in places, turned once or twice.",
		liquid: "pan",
		dry: false,
		hot: true,
		usual: {
			kind: "low immersion",
			pan: {
				shape: "rectangular",
				lengthCm: 50,
				widthCm: 30
			},
			wallCm: 10,
			depthCm: 4,
			turns: 1
		}
	},
	"cool bath": {
		label: "cool bath",
		gives: "No heat for hours, then a set; tonal when the goods are dry or twisted.",
		liquid: "water",
		dry: false,
		hot: false,
		usual: {
			kind: "cool bath",
			minutes: 720,
			temperatureC: 20
		}
	},
	glaze: {
		label: "glaze",
		gives: "Cold, strongly acid, left untouched: a thin surface color. Fast-striking dyes only.",
		liquid: "water",
		dry: false,
		hot: false,
		usual: {
			kind: "glaze",
			minutes: 30
		}
	},
	repeated: {
		label: "repeated twist or knot",
		gives: "Small doses into a hot acid pot, the goods re-tied between them.",
		liquid: "water",
		dry: false,
		hot: true,
		usual: {
			kind: "repeated",
			repeats: 4,
			minutes: 8
		}
	},
	dip: {
		label: "dip",
		gives: "A gradient by time in the bath, the end first.",
		liquid: "water",
		dry: false,
		hot: true,
		usual: {
			kind: "dip",
			sharePercent: 60,
			steps: 4,
			minutes: 20
		}
	},
	painting: {
		label: "section painting",
		gives: "Solution worked into sections of the hank, the lightest color first.",
		liquid: "paint",
		dry: false,
		hot: false,
		usual: {
			kind: "painting",
			layout: "around",
			sections: [{
				id: "a",
				name: "Section A",
				sharePercent: 50
			}, {
				id: "b",
				name: "Section B",
				sharePercent: 50
			}],
			pickUpMlPerG: 1
		}
	},
	sprinkle: {
		label: "sprinkle",
		gives: "Dry powder, or powder cut with citric crystals, in speckles.",
		liquid: "water",
		dry: true,
		hot: true,
		usual: {
			kind: "sprinkle",
			citricPerGram: 10,
			coverPercent: 30,
			settleMinutes: 5
		}
	},
	ice: {
		label: "ice or snow",
		gives: "Powder on ice over the goods; the melt water dilutes the acid.",
		liquid: "water",
		dry: true,
		hot: false,
		usual: {
			kind: "ice",
			iceGrams: 1500,
			meltMinutes: 480
		}
	},
	"painted stack": {
		label: "painted stack",
		gives: "Flat pieces one on another in a shallow pan; the lowest comes out darkest.",
		liquid: "paint",
		dry: false,
		hot: false,
		usual: {
			kind: "painted stack",
			layers: 3,
			drainPercent: 20,
			pickUpMlPerG: 1.2
		}
	},
	"blank painting": {
		label: "blank painting",
		gives: "A knitted blank painted in stripes, wrapped, coiled and steamed.",
		liquid: "paint",
		dry: false,
		hot: false,
		usual: {
			kind: "blank painting",
			sections: [
				{
					id: "a",
					name: "Stripe 1",
					sharePercent: 34
				},
				{
					id: "b",
					name: "Stripe 2",
					sharePercent: 33
				},
				{
					id: "c",
					name: "Stripe 3",
					sharePercent: 33
				}
			],
			pickUpMlPerG: 1
		}
	}
};
var METHOD_KINDS = Object.keys(METHODS);
/** Facts of a method under their general type. */
var methodFacts = (kind) => METHODS[kind];
/** The sections a method paints; none for the others. */
var sectionsOf = (method) => method.kind === "painting" || method.kind === "blank painting" ? method.sections : [];
/** Share of the goods that a pass reaches, above 0 to 1. */
function passShare(method) {
	if (method.kind === "dip") return method.sharePercent / 100;
	const sections = sectionsOf(method);
	if (sections.length === 0) return 1;
	return Math.min(1, sections.reduce((sum, section) => sum + section.sharePercent, 0) / 100);
}
/** Base of a pan, cm². */
var panArea = (pan) => pan.shape === "round" ? Math.PI * pan.diameterCm ** 2 / 4 : pan.lengthCm * pan.widthCm;
/** True when a pass goes on in the bath that is in the pot: paint and a pan of its own size never do. */
var keepsBath = (pass) => pass.water.basis === "kept" && METHODS[pass.method.kind].liquid === "water";
// packages/core/src/recipe/notices.ts
/** Depth below which there is little to see on an undyed base, % (common practice, no source). */
var BARELY_VISIBLE_DOS = .02;
var DEEPEST_USUAL_DOS = 4;
/** Thinnest and thickest usual wet pick-up of squeezed goods over which paint runs, mL/g (common practice, no source). */
var RUNS_ML_PER_G = 2.5;
/** Everything about a plan that a colleague would mention before the pouring starts. */
function noticesFor(plan, formulation, bases, context) {
	const drawn = /* @__PURE__ */ new Map();
	return [
		...goodsNotices(plan, bases),
		...formulation.recipe.passes.flatMap((pass, i) => {
			const planned = plan.passes[i];
			return planned ? [
				...pourNotices(pass, planned, formulation, context, drawn),
				...bathNotices(pass, planned, plan, formulation),
				...acidNotices(pass, planned),
				...heatNotices(pass, planned, plan, formulation, bases)
			] : [];
		}),
		...setNotices(plan, formulation, bases)
	];
}
function goodsNotices(plan, bases) {
	const say = (text) => ({
		about: "goods",
		passId: null,
		text
	});
	if (plan.dyeable.value === 0) return [say("Nothing in these goods takes acid dye.")];
	if (plan.dyeable.value < plan.wog.value - 1e-9) {
		const names = [...new Set(bases.map((base) => base.name))].join(", ");
		return [say(`${formatAmount(plan.wog.value - plan.dyeable.value, "g")} of ${names} takes no acid dye and stays undyed.`)];
	}
	return [];
}
function pourNotices(pass, planned, formulation, { left = {}, today }, drawn) {
	const notices = [];
	const say = (text, more = {}) => {
		notices.push({
			about: "pass",
			passId: pass.id,
			text,
			...more
		});
	};
	if (planned.pours.length > 0 && planned.dos.value < BARELY_VISIBLE_DOS) say(`At ${formatAmount(planned.dos.value, "%")} there is little to see on an undyed base.`);
	if (planned.dos.value > DEEPEST_USUAL_DOS) say(`${formatAmount(planned.dos.value, "%")} in all is deeper than a black; expect dye left in the bath.`);
	for (const pour of planned.pours) {
		if (pour.measured && pour.measured.error.value > 3 && !pour.dilution) say(`${pour.dyeName}: ${formatAmount(pour.each.value, pour.each.unit)} reads only to ${formatAmount(pour.measured.error.value, "%")} with the ${pour.measured.toolName}, and no dilution with these tools brings it under 3 %.`);
		if (!pour.measured && !pour.dilution && formulation.tools.length > 0 && pour.each.value > 0) say(`${pour.dyeName}: no tool on the shelf can measure ${formatAmount(pour.each.value, pour.each.unit)}${pour.volume ? "; use a weaker stock" : ""}.`);
		const dye = formulation.dyes.find((candidate) => candidate.id === pour.dyeId);
		if (pour.school === "powder spoons" && dye?.gramsPerTeaspoon === null) say(`${pour.dyeName} was never weighed by the spoon: its grams are a guess until it is.`);
		if (pass.method.kind === "glaze" && dye && [
			"milling",
			"super-milling",
			"metal complex"
		].includes(dye.dyeClass)) say(`${pour.dyeName} is a ${dye.dyeClass} dye: it strikes slowly cold. A glaze wants fast-striking dyes.`);
		const jar = formulation.stocks.find((stock) => stock.id === pour.stockId);
		if (!jar || !pour.volume) continue;
		const taken = pour.dilution ? pour.dilution.take.value : pour.volume.value;
		const holds = left[jar.id] ?? jar.volumeMl;
		const before = drawn.get(jar.id) ?? 0;
		drawn.set(jar.id, before + taken);
		if (before + taken > holds + 1e-9) say(`${pour.dyeName}: the jar holds ${formatAmount(Math.max(0, holds - before), "mL")}, ${formatAmount(before + taken - Math.max(holds, before), "mL")} less than you need. Make more.`, { jarId: jar.id });
		const days = today === void 0 ? null : jarAgeDays(jar, today);
		if (days !== null && days > 180) say(`${pour.dyeName} ${jar.code}: this jar is ${days} days old. Warm it, shake it, and test it before you rely on it.`);
	}
	return notices;
}
function bathNotices(pass, planned, plan, { pot }) {
	const notices = [];
	const say = (text, blocks = false) => {
		notices.push({
			about: "pass",
			passId: pass.id,
			text,
			...blocks && { blocks }
		});
	};
	const { method } = pass;
	const poured = planned.pours.reduce((sum, pour) => sum + (pour.volume?.value ?? 0), 0);
	const liquidAcid = planned.acids.reduce((sum, acid) => sum + (acid.amount.unit === "mL" ? acid.amount.value : 0), 0);
	const paint = methodFacts(method.kind).liquid === "paint";
	if (!keepsBath(pass) && poured + liquidAcid > planned.bath.value * (1 + 1e-9)) say(`Stock and acid come to ${formatAmount(poured + liquidAcid, "mL")}, more than the ${formatAmount(planned.bath.value, "mL")} ${paint ? "of paint the goods take up" : "bath"}. Take ${paint ? "a stronger stock" : "more water or a stronger stock"}.`);
	if (paint && "pickUpMlPerG" in method && method.pickUpMlPerG > RUNS_ML_PER_G) say("So much paint will run: sections bleed into each other and the steam carries it further.");
	for (const part of planned.parts) if (part.fillUp && part.paint) {
		const stock = planned.pours.filter((pour) => pour.sectionId === part.id).reduce((sum, pour) => sum + (pour.volume?.value ?? 0), 0);
		if (stock > part.paint.value * (1 + 1e-9)) say(`${part.name}: ${formatAmount(stock, "mL")} of stock is more than the ${formatAmount(part.paint.value, "mL")} it takes up. Take a stronger stock.`);
		if (!planned.pours.some((pour) => pour.sectionId === part.id)) say(`${part.name} has no dye yet and stays as it is.`);
	}
	const melt = method.kind === "ice" ? method.iceGrams : 0;
	const full = planned.bath.value + plan.wog.value + melt + pass.topUpMl;
	if (method.kind === "low immersion") {
		const holds = panArea(method.pan) * method.wallCm;
		const needs = planned.bath.value + plan.wog.value;
		if (needs > holds) say(`This pan holds ${formatAmount(holds, "mL")} to the rim; water and goods need ${formatAmount(needs, "mL")}. Take a deeper pan, less water, or fewer goods.`, true);
	} else if (pot && !paint && full > pot.capacityMl) say(`${pot.name} holds ${formatAmount(pot.capacityMl, "mL")}; bath and goods need about ${formatAmount(full, "mL")}. Take a larger pot or less water.`, true);
	if (keepsBath(pass) && pass.acids.length === 0 && planned.bathAcid === null) say("The bath that is kept has no acid in it.");
	return notices;
}
/** How far expected pH may lie outside its window before it is worth a word; the estimate is no better. */
var PH_SLACK = .3;
function acidNotices(pass, planned) {
	const say = (text) => ({
		about: "acid",
		passId: pass.id,
		text
	});
	const { bathAcid, phWindow } = planned;
	if (!bathAcid) return [say("No acid: most acid dyes will stay in the bath.")];
	const range = `Usual for these dyes is ${phRange(phWindow)}.`;
	const pH = bathAcid.pH.value;
	if (!(pass.method.kind === "glaze") && pH < phWindow[0] - PH_SLACK) return [say(`About ${formatAmount(pH, "pH")} is more acid than usual: expect a fast, less even strike. ${range}`)];
	if (pH > phWindow[1] + PH_SLACK) return [say(`About ${formatAmount(pH, "pH")} may leave dye in the bath. ${range}`)];
	return [];
}
/** Fastest rise that wool which can felt should see, °C per minute (common practice, no source). */
var GENTLE_C_PER_MIN = 1.5;
function heatNotices(pass, planned, plan, formulation, bases) {
	if (!pass.heat || !planned.heat) return [];
	const say = (text, blocks = false) => ({
		about: "heat",
		passId: pass.id,
		text,
		...blocks && { blocks }
	});
	return hotNotices(pass.heat.temperatureC, pass.heat.rampCPerMin, planned.bath.value, plan, formulation, bases, true, say);
}
/** What holds for any bath on a ring: boiling, the fiber's ceiling, the ring's power, a gentle rise. */
function hotNotices(temperatureC, rampCPerMin, bathMl, plan, { pot, place }, bases, onRing, say) {
	const notices = [];
	const boiling = plan.set.boiling.value;
	const window = setWindow(bases.flatMap((base) => base.fibers));
	if (temperatureC > boiling + .5) notices.push(say(`Water boils at ${boiling.toFixed(1)} °C at ${place.altitudeM} m: ${formatAmount(temperatureC, "°C")} cannot be reached.`, true));
	if (window && temperatureC > window.high) notices.push(say(`Over ${window.high} °C is hard on ${window.limitedBy}. Usual is ${window.low} to ${window.high} °C.`));
	if (!onRing) return notices;
	if (ringMinutes({
		waterMl: bathMl,
		fiberGrams: plan.wog.value,
		pot,
		roomC: place.roomC
	}, place.tapC, Math.min(temperatureC, boiling)) === Number.POSITIVE_INFINITY) notices.push(say(`${pot?.name ?? "This pot"} loses heat as fast as its ring gives it before ${formatAmount(temperatureC, "°C")}. Put a lid on, take a stronger ring or a smaller bath.`, true));
	const felting = bases.find((base) => !base.superwash && setWindow(base.fibers));
	if (felting && rampCPerMin > GENTLE_C_PER_MIN && felting.fibers.some(({ fiber }) => fiber !== "silk" && fiber !== "nylon")) notices.push(say(`${felting.name} is not superwash: rise at most ${GENTLE_C_PER_MIN} °C/min and do not stir above 60 °C.`));
	return notices;
}
function setNotices(plan, formulation, bases) {
	const { set } = formulation.recipe;
	const facts = setMethodFacts(set.method);
	const notices = [];
	const say = (text, blocks = false) => ({
		about: "set",
		passId: null,
		text,
		...blocks && { blocks }
	});
	if (set.temperatureC < facts.range[0] || set.temperatureC > facts.range[1]) notices.push(say(`A ${facts.label} runs from ${facts.range[0]} to ${facts.range[1]} °C, not ${formatAmount(set.temperatureC, "°C")}.`));
	if (set.method === "microwave" && set.wrap === "sealed") notices.push(say("Never seal a bag for the microwave: the steam bursts it. Leave a vent.", true));
	if (set.method === "warm rest") return [...notices, say(facts.confidence)];
	const onRing = facts.riseMinutes === void 0;
	if (set.method !== "oven" || set.temperatureC <= plan.set.boiling.value) notices.push(...hotNotices(set.temperatureC, set.rampCPerMin, plan.passes.at(-1)?.bath.value ?? 0, plan, formulation, bases, onRing, say));
	const window = setWindow(bases.flatMap((base) => base.fibers));
	if (window && set.temperatureC < window.low) notices.push(say(`Under ${window.low} °C may leave dye unset on ${window.limitedBy}. Usual is ${window.low} to ${window.high} °C.`));
	if (set.minutes === 0) notices.push(say("No hold at all: the dye is not set."));
	const { centerHot } = plan.set;
	if (centerHot && centerHot.value > set.minutes) notices.push(say(`The middle of a ${set.bundleCm} cm bundle is hot after about ${formatAmount(centerHot.value, "min")}, longer than the hold. Steam longer, or lay it thinner.`));
	return notices;
}
// packages/core/src/recipe/passLook.ts
/** How tonal each way of laying the goods comes out, for drawing only. */
var ARRANGED$1 = {
	open: 0,
	twisted: .22,
	"twisted tight": .45,
	knotted: .4,
	"laid flat": .05,
	"tied sections": .35
};
/** The goods after one more pass. An estimate for drawing: where color goes, and how level. */
function lookAfter(look, pass, planned, dyes) {
	const drawn = (sectionId, all = true) => planned.pours.filter((pour) => all || pour.sectionId === sectionId).flatMap((pour) => {
		const dye = dyes.find((candidate) => candidate.id === pour.dyeId);
		return dye ? [{
			swatchHex: dye.swatchHex,
			swatchDosPercent: dye.swatchDosPercent,
			dosPercent: pour.dos.value
		}] : [];
	});
	const { method } = pass;
	const sections = sectionsOf(method);
	const uneven = (extra) => Math.min(1, Math.max(look.unevenness * .8, .12) + extra + ARRANGED$1[pass.arrangement.kind] + (pass.goodsGoIn === "dry" ? .15 : 0) + (pass.acids.some((dose) => dose.when === "soak") ? .1 : 0));
	if (sections.length > 0) {
		let at = 0;
		return {
			...dyeStretches(look, sections.map((section) => {
				const from = at;
				at += section.sharePercent / 100;
				return {
					from,
					to: at,
					dyes: drawn(section.id, false)
				};
			})),
			across: method.kind === "painting" && method.layout === "across",
			unevenness: uneven(method.kind === "painting" && method.layout === "touches" ? .3 : .08)
		};
	}
	if (method.kind === "dip") {
		const share = method.sharePercent / 100;
		return {
			...dyeStretches(look, Array.from({ length: method.steps }, (_, i) => ({
				from: share * i / method.steps,
				to: share * (i + 1) / method.steps,
				dyes: drawn(null).map((dye) => ({
					...dye,
					dosPercent: dye.dosPercent * 2 * (method.steps - i) / (method.steps + 1)
				}))
			}))),
			unevenness: uneven(0)
		};
	}
	if (method.kind === "sprinkle") {
		const cover = method.coverPercent / 100;
		const deeper = drawn(null).map((dye) => ({
			...dye,
			dosPercent: dye.dosPercent / Math.max(.05, cover)
		}));
		const ground = averageHex({
			...look,
			speckles: []
		});
		return {
			...look,
			speckles: [...look.speckles, ...deeper.map((dye) => ({
				hex: drawnColor(ground, [dye]),
				cover: cover / deeper.length
			}))]
		};
	}
	const extra = {
		"low immersion": .3,
		"cool bath": .05,
		glaze: .2,
		repeated: .3,
		ice: .5
	}[method.kind];
	return {
		...dyeStretches(look, [{
			from: 0,
			to: 1,
			dyes: drawn(null)
		}]),
		unevenness: uneven(extra ?? 0)
	};
}
// packages/core/src/recipe/steps.ts
var PRACTICE$1 = "common practice, no source";
/** A step with nothing measured, waited for or heated unless it says so. */
var makeStep = (plan) => ({
	handsOnMinutes: 2,
	onHeat: false,
	cautions: [],
	...plan
});
/** A wait as it was decided. */
var decided = (minutes) => figure(minutes, "min", `${minutes} min as decided`, "exact");
/** A tool in words: `with the 10 mL syringe, 3 fills`. */
var withTool = (name, fills) => `with the ${name}${fills > 1 ? `, ${fills} fills` : ""}`;
// packages/core/src/recipe/dyeSteps.ts
/** Every pour of a pass, each after the working dilution it may need. */
var dyeSteps = (inputs) => inputs.planned.pours.flatMap((pour) => [...diluteSteps(inputs, pour), dyeStep(inputs, pour)]);
/** The working dilution that a pour too small to read is made from; none for the others. */
function diluteSteps(inputs, pour) {
	const { dilution } = pour;
	if (!dilution || pour.stockId === null || pour.strengthPercent === null) return [];
	return [makeStep({
		id: `${pour.stepId}-dilute`,
		kind: "dilute",
		passId: inputs.pass.id,
		title: `Take ${pour.dyeName} ${pour.strengthPercent} % and make it up to ${formatAmount(dilution.makeUp.value, "mL")}`,
		detail: `1 part in ${dilution.ratio}: the pour alone is too small to read. Label it ${Number(dilution.strengthPercent.toPrecision(3))} %.`,
		measure: {
			amount: dilution.take,
			unit: "mL",
			material: {
				kind: "dilution",
				dyeId: pour.dyeId,
				stockId: pour.stockId,
				strengthPercent: pour.strengthPercent
			},
			tool: `with the ${dilution.takeWith}, made up in the ${dilution.makeUpWith}`
		},
		handsOnMinutes: 4
	})];
}
/** One pour or weighing, with the tool it is measured with. @param id of the step, for doses after the first */
function dyeStep(inputs, pour, id = pour.stepId) {
	const strength = pour.dilution ? pour.dilution.strengthPercent : pour.strengthPercent;
	const amount = pour.dilution?.pour ?? pour.measured?.reading ?? pour.each;
	const tool = pour.dilution ? withTool(pour.dilution.pourWith, 1) : pour.measured ? withTool(pour.measured.toolName, pour.measured.fills) : void 0;
	const dry = methodFacts(inputs.pass.method.kind).dry;
	const cut = pour.cut ? `Stir it with ${formatAmount(pour.cut.value, "g")} of the citric crystals first, so that it sticks on contact.` : void 0;
	const powder = dry ? ["powder"] : ["powder", "scald"];
	return makeStep({
		id,
		kind: "dye",
		passId: inputs.pass.id,
		title: pour.volume ? pour.dilution ? `Pour the diluted ${pour.dyeName}` : `Pour ${pour.dyeName} ${pour.strengthPercent} %` : dry ? inputs.pass.method.kind === "ice" ? `Sprinkle ${pour.dyeName} powder on the ice` : `Sprinkle ${pour.dyeName} powder` : `Weigh ${pour.dyeName} powder and dissolve it in hot water`,
		...cut !== void 0 && { detail: cut },
		measure: {
			amount,
			unit: pour.volume ? "mL" : "g",
			material: {
				kind: "dye",
				dyeId: pour.dyeId,
				lineId: pour.lineId,
				stockId: pour.stockId,
				strengthPercent: strength,
				lotStrength: pour.lotStrength,
				diluted: pour.dilution !== null
			},
			...tool !== void 0 && { tool }
		},
		handsOnMinutes: pour.volume ? 2 : 5,
		cautions: pour.volume ? [] : powder
	});
}
// packages/core/src/recipe/passSteps.ts
var ARRANGED = {
	open: () => "Lay the goods open",
	twisted: (n) => `Twist the goods, ${n} ${n === 1 ? "turn" : "turns"}`,
	"twisted tight": (n) => `Twist the goods tight, ${n} ${n === 1 ? "turn" : "turns"}`,
	knotted: (n) => `Knot the goods in ${n} ${n === 1 ? "place" : "places"}`,
	"laid flat": () => "Lay the goods flat",
	"tied sections": (n) => `Tie the goods off in ${n} ${n === 1 ? "section" : "sections"}`
};
/** The steps of one pass in the order of the work. Acid that waits for the heat of the set is left to `setSteps`. */
function passSteps(inputs) {
	const { pass } = inputs;
	const before = [...readySteps(inputs), ...bathSteps(inputs)];
	switch (pass.method.kind) {
		case "painting":
		case "blank painting": return [
			...before,
			...paintSectionSteps(inputs),
			...lateAcids(inputs)
		];
		case "painted stack": return [
			...before,
			...dyeSteps(inputs),
			make(inputs, "paint", "paint", `Paint the stack, ${pass.method.layers} layers, pressing the color through`, { handsOnMinutes: 5 * pass.method.layers }),
			...lateAcids(inputs)
		];
		case "sprinkle": return [
			...before,
			goodsStep(inputs, "Lay the goods in, just showing"),
			...timedAcids(inputs, "with powder"),
			...dyeSteps(inputs),
			...waitStep(inputs, "settle", "Leave it to settle, nothing moved", pass.method.settleMinutes),
			...heatedSteps(inputs)
		];
		case "ice": return [
			...before,
			goodsStep(inputs, "Lay the goods in"),
			make(inputs, "ice", "ice", "Heap ice or snow over the goods", {
				measure: {
					amount: figure(pass.method.iceGrams, "g", "as decided"),
					unit: "g",
					material: { kind: "ice" }
				},
				handsOnMinutes: 5
			}),
			...dyeSteps(inputs),
			...waitStep(inputs, "melt", "Let it melt, away from children and animals", pass.method.meltMinutes),
			...meltAcid(inputs),
			...heatedSteps(inputs)
		];
		case "repeated": return [
			...before,
			...riseSteps(inputs),
			...repeatSteps(inputs, pass.method.repeats, pass.method.minutes),
			...lateAcids(inputs)
		];
		case "dip": return [
			...before,
			...dyeSteps(inputs),
			...timedAcids(inputs, "start"),
			goodsStep(inputs, `Hang the end of the goods in, ${pass.method.sharePercent} % of the length`),
			...dipSteps(inputs, pass.method.steps, pass.method.minutes),
			...lateAcids(inputs)
		];
		default: return [
			...before,
			...dyeSteps(inputs),
			...timedAcids(inputs, "start"),
			goodsStep(inputs, intoBath(pass)),
			...restSteps(inputs),
			...heatedSteps(inputs)
		];
	}
}
/** Which acid doses the set still has to bring in: a last pass without heat of its own has not been warm yet. */
var waitsForSet = (pass, last) => last && pass.heat === null;
var make = ({ pass, prefix }, id, kind, title, more = {}) => makeStep({
	id: `${prefix}${id}`,
	kind,
	passId: pass.id,
	title,
	...more
});
function readySteps(inputs) {
	const { pass, index, wettingMinutes } = inputs;
	const wet = index === 0 && wettingMinutes > 0 && pass.goodsGoIn === "wet";
	const { kind, count } = pass.arrangement;
	const title = ARRANGED[kind](count);
	return [
		...timedAcids(inputs, "soak"),
		...wet ? [make(inputs, "wet", "wet", "Wet out the goods in plain water with a drop of wetting agent", {
			wait: decided(wettingMinutes),
			handsOnMinutes: 5
		})] : [],
		...index > 0 || kind !== "open" ? [make(inputs, "arrange", "arrange", index > 0 ? `Lift out and squeeze. ${title}` : title, { handsOnMinutes: kind === "open" || kind === "laid flat" ? 3 : 6 })] : []
	];
}
function bathSteps(inputs) {
	const { pass, planned } = inputs;
	const paint = methodFacts(pass.method.kind).liquid === "paint";
	const water = planned.water.value > 0 ? [make(inputs, "water", "water", paint ? "Measure water to fill the paint up with" : pass.method.kind === "low immersion" ? "Run water into the pan" : "Run water into the pot", {
		measure: {
			amount: planned.water,
			unit: "mL",
			material: { kind: "water" }
		},
		handsOnMinutes: 3
	})] : [];
	const first = [
		"painting",
		"blank painting",
		"painted stack",
		"sprinkle",
		"ice",
		"repeated"
	].includes(pass.method.kind);
	return [...water, ...first ? timedAcids(inputs, "start") : []];
}
function intoBath({ method, goodsGoIn }) {
	if (method.kind === "low immersion") return "Lay the goods in, just showing; pour color in places";
	if (method.kind === "glaze") return "Lay the goods in and leave them untouched";
	return goodsGoIn === "wet" ? "Lift the goods in, open, and stir" : "Lay the dry goods in";
}
function goodsStep(inputs, title) {
	return make(inputs, "goods", "goods", inputs.index === 0 && inputs.wettingMinutes === 0 && title.startsWith("Lift") ? "Lay the dry goods in" : title, { handsOnMinutes: 5 });
}
var timedAcids = (inputs, when) => inputs.planned.acids.filter((acid) => timeOf(inputs.pass, acid) === when).map((acid) => acidStep(inputs, acid));
/** Acid can only go in with the powder where powder goes in dry; elsewhere it goes in at the start. */
var timeOf = (pass, acid) => acid.when === "with powder" && pass.method.kind !== "sprinkle" ? "start" : acid.when;
/** An acid dose as a step. */
function acidStep(inputs, acid, onHeat = false) {
	const where = {
		soak: "to the soak",
		start: methodFacts(inputs.pass.method.kind).liquid === "paint" ? "to the paint water" : "to the bath",
		warm: "to the warm bath",
		last: "to the hot, level bath",
		"with powder": "with the powder"
	}[acid.when];
	return makeStep({
		id: acid.stepId,
		kind: "acid",
		passId: inputs.pass.id,
		title: `Add ${acid.label} ${where}`,
		measure: {
			amount: acid.amount,
			unit: ACIDS[acid.material].unit,
			material: {
				kind: "acid",
				material: acid.material,
				strengthPercent: acid.strengthPercent
			}
		},
		onHeat,
		cautions: ["acid"]
	});
}
function lateAcids(inputs) {
	if (waitsForSet(inputs.pass, inputs.last)) return [];
	return [...inputs.pass.heat ? [] : timedAcids(inputs, "warm"), ...timedAcids(inputs, "last")];
}
function paintSectionSteps(inputs) {
	const { pass, planned } = inputs;
	const blank = pass.method.kind === "blank painting";
	return sectionsOf(pass.method).flatMap((section) => {
		const pours = planned.pours.filter((pour) => pour.sectionId === section.id);
		const part = planned.parts.find((candidate) => candidate.id === section.id);
		if (pours.length === 0) return [];
		return [...pours.flatMap((pour) => [...diluteSteps(inputs, pour), dyeStep(inputs, pour)]), make(inputs, `paint-${section.id}`, "paint", `Fill up to ${formatAmount(part?.paint?.value ?? 0, "mL")} and paint ${section.name}`, {
			detail: `${formatAmount(section.sharePercent, "%")} of the ${blank ? "blank" : "hank"}. Press the color in, turn, look underneath.`,
			handsOnMinutes: 8
		})];
	});
}
function waitStep(inputs, id, title, minutes) {
	return minutes > 0 ? [make(inputs, id, "wait", title, {
		wait: decided(minutes),
		handsOnMinutes: 1
	})] : [];
}
function restSteps(inputs) {
	const { method } = inputs.pass;
	if (method.kind === "cool bath") return waitStep(inputs, "rest", "Leave it in the cool bath, no heat", method.minutes);
	if (method.kind === "glaze") return waitStep(inputs, "rest", "Leave the glaze untouched", method.minutes);
	return [];
}
function meltAcid(inputs) {
	const due = inputs.planned.figures.find(({ name }) => name.startsWith("Acid for the melt water"));
	const last = inputs.planned.acids.at(-1);
	if (!due || !last || due.figure.value === 0) return [];
	return [make(inputs, "acid-melt", "acid", `Add ${last.label} for the melt water`, {
		measure: {
			amount: due.figure,
			unit: ACIDS[last.material].unit,
			material: {
				kind: "acid",
				material: last.material,
				strengthPercent: last.strengthPercent
			}
		},
		cautions: ["acid"]
	})];
}
function repeatSteps(inputs, repeats, minutes) {
	const { pass, planned } = inputs;
	return Array.from({ length: repeats }, (_, r) => {
		const nth = `${r + 1} of ${repeats}`;
		const id = (what) => r === 0 ? what : `${what}-r${r + 1}`;
		return [
			...r > 0 ? [make(inputs, id("retie"), "arrange", `Lift, cool to the hand, re-tie. ${ARRANGED[pass.arrangement.kind](pass.arrangement.count)}`, {
				handsOnMinutes: 6,
				cautions: ["scald"]
			})] : [],
			...planned.pours.flatMap((pour) => [...r === 0 ? diluteSteps(inputs, pour) : [], {
				...dyeStep(inputs, pour, r === 0 ? pour.stepId : `${pour.stepId}-r${r + 1}`),
				detail: `Dose ${nth}.`
			}]),
			make(inputs, id("goods"), "goods", `Goods in, dose ${nth}`, { handsOnMinutes: 2 }),
			...minutes > 0 ? [make(inputs, id("strike"), "hold", `Let dose ${nth} strike until the bath clears`, {
				wait: decided(minutes),
				onHeat: pass.heat !== null,
				...pass.heat && { toC: pass.heat.temperatureC }
			})] : []
		];
	}).flat();
}
function dipSteps(inputs, steps, minutes) {
	const { pass } = inputs;
	const each = minutes / steps;
	return [...riseSteps(inputs), ...Array.from({ length: steps }, (_, i) => make(inputs, `dip-${i + 1}`, "hold", i === steps - 1 ? `Leave the last ${Math.round((pass.method.kind === "dip" ? pass.method.sharePercent : 100) / steps * 10) / 10} % in` : `Leave it ${i + 1} of ${steps}, then lift by one step`, {
		wait: figure(each, "min", `${minutes} min ÷ ${steps} steps`),
		onHeat: pass.heat !== null,
		...pass.heat && { toC: pass.heat.temperatureC }
	}))];
}
var heatCautions = ({ canFelt }) => [
	"scald",
	"unattended",
	...canFelt ? ["hotWool"] : []
];
/** Rise to the temperature of the pass, acid “when warm” on the way. */
function riseSteps(inputs) {
	const { pass, planned } = inputs;
	if (!pass.heat || !planned.heat) return [];
	const warm = timedAcids(inputs, "warm");
	const total = planned.heat.rise.value;
	const cautions = heatCautions(inputs);
	const to = pass.heat.temperatureC;
	const rise = (id, toC, minutes, said) => minutes > 0 ? [make(inputs, id, "heat", `Heat slowly to ${toC} °C`, {
		wait: figure(minutes, "min", said, "estimate", planned.heat?.rise.source ?? "common practice, no source"),
		toC,
		onHeat: true,
		handsOnMinutes: 3,
		cautions
	})] : [];
	const fromC = to - total * pass.heat.rampCPerMin;
	if (warm.length === 0 || to <= 60 || fromC >= 60 || total === 0) return [...warm, ...rise("bath-heat", to, total, planned.heat.rise.because)];
	const share = Math.max(0, Math.min(1, (60 - fromC) / (to - fromC)));
	return [
		...rise("bath-warm", 60, total * share, `share of ${planned.heat.rise.because}`),
		...warm.map((step) => ({
			...step,
			onHeat: true
		})),
		...rise("bath-heat", to, total * (1 - share), `rest of ${planned.heat.rise.because}`)
	];
}
/** Rise, hold, turning and late acid of a pass that is led hot; late acid alone for one that is not. */
function heatedSteps(inputs) {
	const { pass } = inputs;
	if (!pass.heat) return lateAcids(inputs);
	const turns = pass.method.kind === "low immersion" ? pass.method.turns : 0;
	return [
		...riseSteps(inputs),
		make(inputs, "bath-hold", "hold", `Hold at ${pass.heat.temperatureC} °C until the bath clears`, {
			...turns > 0 && { detail: `Turn the goods ${turns === 1 ? "once" : `${turns} times`}.` },
			wait: decided(pass.heat.minutes),
			toC: pass.heat.temperatureC,
			onHeat: true,
			handsOnMinutes: 3 + 2 * turns,
			cautions: heatCautions(inputs)
		}),
		...timedAcids(inputs, "last").map((step) => ({
			...step,
			onHeat: true
		}))
	];
}
// packages/core/src/acid/davies.ts
/**
* Activity coefficient of an ion by the Davies equation, good to about 0.5 mol/L.
* Source: C. W. Davies, Ion Association, Butterworths 1962.
* @param charge charge number of the ion
* @param ionicStrength mol/L, >= 0
*/
function activityCoefficient(charge, ionicStrength) {
	const root = Math.sqrt(ionicStrength);
	return 10 ** (-.509 * charge * charge * (root / (1 + root) - .3 * ionicStrength));
}
// packages/core/src/acid/bracketedRoot.ts
/**
* Root of a continuous function between two points of opposite sign: inverse quadratic interpolation where it is
* safe, bisection where it is not, so that it always ends.
* Source: T. R. Chandrupatla, Adv. Eng. Softw. 28, 145 (1997).
* @param tolerance width at which the root is known well enough, > 0
* @throws RangeError when both ends have the same sign
*/
function bracketedRoot(f, low, high, tolerance) {
	let a = high;
	let b = low;
	let fa = f(a);
	let fb = f(b);
	if (fa === 0) return a;
	if (fb === 0) return b;
	if (fa > 0 === fb > 0) throw new RangeError(`No change of sign between ${low} and ${high}.`);
	let c;
	let fc;
	let t = .5;
	for (let round = 0; round < 200; round += 1) {
		const x = a + t * (b - a);
		const fx = f(x);
		if (fx > 0 === fa > 0) {
			c = a;
			fc = fa;
		} else {
			c = b;
			b = a;
			fc = fb;
			fb = fa;
		}
		a = x;
		fa = fx;
		const best = Math.abs(fb) < Math.abs(fa) ? b : a;
		const least = tolerance / Math.abs(b - c);
		if (fa === 0 || fb === 0 || least > .5) return best;
		const xi = (a - b) / (c - b);
		const phi = (fa - fb) / (fc - fb);
		t = phi ** 2 < xi && (1 - phi) ** 2 < 1 - xi ? fa / (fb - fa) * (fc / (fb - fc)) + (c - a) / (b - a) * (fa / (fc - fa)) * (fb / (fc - fb)) : .5;
		t = Math.min(1 - least, Math.max(least, t));
	}
	return a;
}
// packages/core/src/acid/fiberUptake.ts
/** Wool after Steinhardt and Harris, 1940 (from memory); nylon and silk from memory. */
var WOOL = { mostMmolPerGram: .82 };
var UPTAKE = {
	nylon: { mostMmolPerGram: .04 },
	silk: { mostMmolPerGram: .2 }
};
/** pH at which half is bound without added salt, and the steepness that leaves only a little above pH 5 (from memory). */
var HALF_BOUND_PH = 2.45;
var STEEPNESS = .6;
/** Millimoles of protons that a gram of fiber holds at most; none for fiber that takes no acid dye. An estimate. */
var mostMmolPerGram = (fiber) => FIBERS[fiber].takesAcidDye ? (UPTAKE[fiber] ?? WOOL).mostMmolPerGram : 0;
/** Share of that which is held at a pH, 1 to 0; never grows with pH. An estimate. */
var shareHeld = (pH) => 1 / (1 + 10 ** (STEEPNESS * (pH - HALF_BOUND_PH)));
// packages/core/src/acid/weakAcids.ts
/** pKa at 25 °C and zero ionic strength: CRC Handbook of Chemistry and Physics. */
var WEAK_ACIDS = {
	acetic: {
		pKa: [4.756],
		charge: 0
	},
	citric: {
		pKa: [
			3.128,
			4.761,
			6.396
		],
		charge: 0
	},
	formic: {
		pKa: [3.751],
		charge: 0
	},
	ammonium: {
		pKa: [9.25],
		charge: 1
	},
	phthalic: {
		pKa: [2.95, 5.408],
		charge: 0
	},
	phosphoric: {
		pKa: [
			2.148,
			7.198,
			12.35
		],
		charge: 0
	},
	carbonic: {
		pKa: [6.352, 10.329],
		charge: 0
	}
};
/** Ion product of water at 25 °C: CRC Handbook of Chemistry and Physics. */
var PKW = 13.995;
// packages/core/src/acid/bathPh.ts
var STRENGTH_ROUNDS = 30;
var LOWEST_PH = -1;
var HIGHEST_PH = 15;
/** Far finer than any meter, coarse enough to be quick. */
var PH_TOLERANCE = 1e-7;
/** Ionic strength is settled when it moves by less than this, mol/L: under a ten-thousandth of a pH unit. */
var STRENGTH_TOLERANCE = 1e-7;
/** Dissociation constants, once, so that a balance needs only products of them. */
var K = Object.fromEntries(Object.entries(WEAK_ACIDS).map(([name, { pKa }]) => [name, pKa.map((one) => 10 ** -one)]));
var KW = 10 ** -PKW;
var balanceOf = ({ acids, strongBase, fiber, airCo2 = 0 }) => ({
	airCo2,
	acids,
	strongBase,
	fiberHolds: (fiber ?? []).reduce((sum, one) => sum + one.gramsPerLiter * mostMmolPerGram(one.fiber) / 1e3, 0)
});
/**
* pH of a bath at 25 °C: the one root of its charge balance, with activities by Davies and pH = −log10 a(H+).
* Adding acid never raises it.
* @throws RangeError when a concentration is negative or not finite
*/
function bathPh(contents) {
	if (contents.acids.some(({ molar }) => !(molar >= 0 && molar < 50))) throw new RangeError("An acid must be 0 to 50 mol/L.");
	if (!Number.isFinite(contents.strongBase)) throw new RangeError("The strong base must be a finite number of mol/L.");
	const balance = balanceOf(contents);
	let pH = rootAt(balance, 1);
	if (contents.activities === false) return pH;
	let strength = 0;
	for (let round = 0; round < STRENGTH_ROUNDS; round += 1) {
		const next = ionicStrength(balance, 10 ** -pH, activityCoefficient(1, strength));
		const settled = Math.abs(next - strength) < STRENGTH_TOLERANCE;
		strength = next;
		pH = rootAt(balance, activityCoefficient(1, strength), pH);
		if (settled) break;
	}
	return pH;
}
/**
* How much of one weak acid brings a bath to a pH: the charge balance is linear in it. The inverse of `bathPh`.
* @param others everything else in the bath
* @returns mol/L, zero when the bath is already that acid without it
*/
function acidForPh(name, pH, others) {
	const balance = balanceOf(others);
	const activity = 10 ** -pH;
	let molar = 0;
	let one = 1;
	for (let round = 0; round < STRENGTH_ROUNDS; round += 1) {
		const next = Math.max(0, chargeAt(balance, pH, one) / -meanCharge(name, activity, one));
		const settled = Math.abs(next - molar) < 1e-10;
		molar = next;
		if (settled) break;
		one = activityCoefficient(1, ionicStrength({
			...balance,
			acids: [...balance.acids, {
				name,
				molar
			}]
		}, activity, one));
	}
	return molar;
}
/**
* The strong base that must be in a bath for it to show a measured pH: what alkalinity and fiber really came to.
* @returns mol of charge per L, to take the place of `strongBase`
*/
function strongBaseAt(pH, contents) {
	const balance = balanceOf({
		...contents,
		strongBase: 0
	});
	let base = 0;
	let one = 1;
	for (let round = 0; round < STRENGTH_ROUNDS; round += 1) {
		const next = -chargeAt(balance, pH, one);
		const settled = Math.abs(next - base) < 1e-10;
		base = next;
		if (settled) break;
		one = activityCoefficient(1, ionicStrength({
			...balance,
			strongBase: base
		}, 10 ** -pH, one));
	}
	return base;
}
/**
* The charge balance falls steadily with pH, so its root is always between the ends.
* @param one activity coefficient of a single charge
* @param near where the root was with a slightly other ionic strength
*/
function rootAt(balance, one, near) {
	const charge = (pH) => chargeAt(balance, pH, one);
	if (near !== void 0) {
		const [low, high] = [near - .12, near + .12];
		if (charge(low) > 0 && charge(high) < 0) return bracketedRoot(charge, low, high, PH_TOLERANCE);
	}
	return bracketedRoot(charge, LOWEST_PH, HIGHEST_PH, PH_TOLERANCE);
}
/** Net charge of everything in the bath, mol/L. @param one activity coefficient of a single charge */
function chargeAt({ acids, strongBase, fiberHolds, airCo2 }, pH, one) {
	const activity = 10 ** -pH;
	let charge = activity / one - KW / (activity * one) + strongBase;
	if (airCo2 > 0) {
		const { bicarbonate, carbonate } = carbonateOverAir(airCo2, activity, one);
		charge -= bicarbonate + 2 * carbonate;
	}
	for (const { name, molar } of acids) charge += molar * meanCharge(name, activity, one);
	return fiberHolds === 0 ? charge : charge + fiberHolds * shareHeld(pH);
}
/** Bicarbonate and carbonate over a constant dissolved CO2, mol/L. @param activity of H+ */
function carbonateOverAir(co2, activity, one) {
	const [first = 0, second = 0] = K.carbonic;
	const bicarbonate = co2 * first / (activity * one);
	return {
		bicarbonate,
		carbonate: bicarbonate * second / (activity * one ** 3)
	};
}
/** Mean charge of an acid over its protonation states, from fully protonated down. @param activity of H+ */
function meanCharge(name, activity, one) {
	const constants = K[name];
	let charge = WEAK_ACIDS[name].charge;
	let weight = 1;
	let total = 1;
	let sum = charge;
	for (const constant of constants) {
		weight *= constant / activity * coefficientRatio(charge, one);
		charge -= 1;
		total += weight;
		sum += weight * charge;
	}
	return sum / total;
}
/** γ(z) ÷ γ(z − 1); Davies gives γ(z) = γ(1)^(z²), so that it is γ(1)^(2z − 1). */
function coefficientRatio(charge, one) {
	if (charge === 1) return one;
	let ratio = 1 / one;
	for (let z = charge; z < 0; z += 1) ratio /= one * one;
	return ratio;
}
/** Ionic strength of a bath, mol/L. @param activity of H+ @param one activity coefficient of a single charge */
function ionicStrength({ acids, strongBase, airCo2 }, activity, one) {
	let doubled = activity / one + KW / (activity * one) + Math.abs(strongBase);
	if (airCo2 > 0) {
		const { bicarbonate, carbonate } = carbonateOverAir(airCo2, activity, one);
		doubled += bicarbonate + 4 * carbonate;
	}
	for (const { name, molar } of acids) {
		let charge = WEAK_ACIDS[name].charge;
		let weight = 1;
		let total = 1;
		let squares = charge * charge;
		for (const constant of K[name]) {
			weight *= constant / activity * coefficientRatio(charge, one);
			charge -= 1;
			total += weight;
			squares += weight * charge * charge;
		}
		doubled += molar * squares / total;
	}
	return doubled / 2;
}
// packages/core/src/acid/expectedPh.ts
/** Milligrams of calcium carbonate that carry one milliequivalent of alkalinity. */
var MG_CACO3_PER_MEQ = 50.04;
/** pH that suits a dye class in the bath; textbook ranges, from memory. */
var WINDOWS = {
	unknown: [3.5, 5],
	leveling: [2.5, 4],
	"half-milling": [4, 5],
	milling: [4.5, 6],
	"super-milling": [5.5, 7],
	"metal complex": [5, 6.5]
};
/** The weak acid in a bottle, as chemistry names it. */
var acidName = (material) => material === "vinegar" ? "acetic" : "citric";
/**
* Total carbonate per equivalent of alkalinity in tap water near pH 7.5: 1 + 10^(6.352 − 7.5). Fresh from the tap it
* is still in the bath; heat drives it off.
*/
var CARBONATE_PER_ALKALINITY = 1 + 10 ** (6.352 - 7.5);
/** CO2 that air at 420 ppm keeps dissolved at 25 °C, mol/L: Henry's constant 0.034 mol/(L atm), CRC Handbook. */
var AIR_CO2_MOLAR = .034 * 42e-5;
/** Alkalinity in mg/L as calcium carbonate as mol of strong base per L. */
var alkalinityMolar = (mgPerL) => mgPerL / MG_CACO3_PER_MEQ / 1e3;
/** Grams of fiber per liter of bath, one entry a fiber. */
function fiberPerLiter(goods, liters) {
	const sums = /* @__PURE__ */ new Map();
	for (const line of goods) for (const { fiber, percent } of line.fibers) sums.set(fiber, (sums.get(fiber) ?? 0) + line.grams * percent / 100 / liters);
	return [...sums].map(([fiber, gramsPerLiter]) => ({
		fiber,
		gramsPerLiter
	}));
}
/** The weak acids of a bath, mol/L. */
var molarAcids = (acids, liters) => acids.map(({ material, pureGrams }) => ({
	name: acidName(material),
	molar: pureGrams / ACIDS[material].molarMass / liters
}));
/**
* Expected pH of a dyebath at 25 °C from its acids, the water's alkalinity and what the goods take up.
* With the goods it is an estimate; without them the model is established. A measured pH is worth more than either.
* @param acids pure acids in the bath, g
* @param liters finished bath, L
*/
function expectedPh(acids, liters, goods, water) {
	const strongBase = alkalinityMolar(water.alkalinityMgPerL);
	const weak = molarAcids(acids, liters);
	const said = `${acids.map(({ material }, i) => `${(1e3 * (weak[i]?.molar ?? 0)).toFixed(1)} mmol/L ${ACIDS[material].acid}`).join(" + ")} in water of ${water.alkalinityMgPerL} mg/L alkalinity, charge balance with Davies activities`;
	const beforeGoods = figure(bathPh({
		acids: [...weak, {
			name: "carbonic",
			molar: strongBase * CARBONATE_PER_ALKALINITY
		}],
		strongBase
	}), "pH", `${said}, carbonate of the tap still in it`, "established", "pKa: CRC Handbook");
	const bath = {
		acids: weak,
		strongBase,
		airCo2: AIR_CO2_MOLAR
	};
	return {
		pH: water.countFiberUptake ? figure(bathPh({
			...bath,
			fiber: fiberPerLiter(goods, liters)
		}), "pH", `${said}, carbonate driven off by heat, less what the fiber takes up`, "estimate", "wool after Steinhardt and Harris 1940, from memory") : figure(bathPh(bath), "pH", `${said}, carbonate driven off by heat`, "established", "pKa: CRC Handbook"),
		beforeGoods
	};
}
/**
* Grams of a pure acid that bring a bath to a pH when it is the only acid in it; the inverse of `expectedPh`.
* @returns a figure in g, as sure as the pH it is for
*/
function acidGramsForPh(material, pH, liters, goods, water) {
	const without = {
		acids: [],
		airCo2: AIR_CO2_MOLAR,
		strongBase: alkalinityMolar(water.alkalinityMgPerL),
		...water.countFiberUptake && { fiber: fiberPerLiter(goods, liters) }
	};
	return figure(acidForPh(acidName(material), pH.value, without) * liters * ACIDS[material].molarMass, "g", `as much ${ACIDS[material].acid} as brings this bath to pH ${pH.value.toFixed(2)}`, pH.sureness, pH.source);
}
/** Narrowest window worth stating; the expected pH is no better known. */
var NARROWEST = .5;
/**
* The pH that suits every dye in a bath: where their windows overlap. Where they hardly do, half a unit to either side
* of the middle between them.
*/
function phWindow(classes) {
	const windows = (classes.length === 0 ? ["unknown"] : classes).map((name) => WINDOWS[name]);
	const low = Math.max(...windows.map(([from]) => from));
	const high = Math.min(...windows.map(([, to]) => to));
	if (high - low >= NARROWEST) return [low, high];
	const middle = (low + high) / 2;
	return [middle - .5, middle + .5];
}
// packages/core/src/acid/topUp.ts
/**
* Acid to pour with top-up water so that the bath keeps its grams of acid per liter. Exact.
* @param gPerL pure acid per liter of bath, g/L, >= 0
* @param waterMl water topped up, mL, >= 0; a liquid acid counts as part of it
* @param strengthPercent of a liquid: g per 100 mL; of crystals: % pure
* @returns mL of a liquid or g of crystals, and the water to run beside it, mL
*/
function topUpAcid(gPerL, waterMl, strengthPercent, unit) {
	const amount = 100 * (gPerL * waterMl / 1e3) / strengthPercent;
	return {
		amount,
		waterMl: unit === "mL" ? Math.max(0, waterMl - amount) : waterMl
	};
}
// packages/core/src/recipe/planAcids.ts
var HANDBOOK = "molar masses: CRC Handbook of Chemistry and Physics";
/** Every acid dose of a pass in order, each with the pH it brings the bath to. */
function planAcids(doses, bath) {
	let inBath = bath.before;
	return {
		acids: doses.filter((dose) => dose.value > 0).map((dose, i) => {
			const all = acidAmounts(dose.material, dose.strengthPercent, dose.basis, dose.value, bath.liters, bath.wogGrams);
			inBath = [...inBath, {
				material: dose.material,
				pureGrams: all.pureGrams
			}];
			return planAcid(dose, all, bath, inBath, `${bath.idPrefix}acid${i === 0 ? "" : `-${i + 1}`}`);
		}),
		inBath
	};
}
function planAcid(dose, all, bath, inBath, stepId) {
	const facts = ACIDS[dose.material];
	const other = dose.material === "vinegar" ? "citric" : "vinegar";
	const expected = expectedPh(inBath, bath.liters, bath.goods, bath.water);
	const liters = formatAmount(1e3 * bath.liters, "mL");
	const goods = formatAmount(bath.wogGrams, "g");
	const pure = formatAmount(all.pureGrams, "g");
	const stated = dose.basis === "gPerL" ? `${plainNumber(dose.value)} g/L × ${liters}` : dose.basis === "percentOfGoods" ? `${plainNumber(dose.value)} % × ${goods}` : `${plainNumber(dose.value)} ${facts.unit} × ${plainNumber(dose.strengthPercent)} %`;
	const samePh = acidGramsForPh(other, inBath.length === 1 ? expected.pH : expectedPh([{
		material: dose.material,
		pureGrams: all.pureGrams
	}], bath.liters, bath.goods, bath.water).pH, bath.liters, bath.goods, bath.water);
	return {
		material: dose.material,
		label: facts.label,
		strengthPercent: dose.strengthPercent,
		when: dose.when,
		stepId,
		amount: figure(all.amount, all.unit, `100 × ${pure} ${facts.acid} ÷ ${plainNumber(dose.strengthPercent)} %`),
		pureGrams: figure(all.pureGrams, "g", `${stated} = ${pure} ${facts.acid}`),
		gPerL: figure(all.gPerL, "g/L", `${pure} ÷ ${liters}`),
		percentOfGoods: figure(all.percentOfGoods, "%", `100 × ${pure} ÷ ${goods}`),
		pH: expected.pH,
		phBeforeGoods: expected.beforeGoods,
		instead: {
			label: ACIDS[other].short,
			samePh: figure(100 * samePh.value / ACIDS[other].usualStrength, ACIDS[other].unit, samePh.because, samePh.sureness, samePh.source),
			sameProtons: figure(equalEquivalents(all.milliequivalents, other, ACIDS[other].usualStrength), ACIDS[other].unit, `the same ${all.milliequivalents.toFixed(0)} meq; equal protons, not equal pH`, "exact", HANDBOOK)
		}
	};
}
/** All acid of a bath together. @returns null when there is none */
function bathAcid(inBath, bath, known) {
	const grams = inBath.reduce((sum, { pureGrams }) => sum + pureGrams, 0);
	if (grams === 0) return null;
	return {
		gPerL: figure(grams / bath.liters, "g/L", `${formatAmount(grams, "g")} of acid ÷ ${formatAmount(1e3 * bath.liters, "mL")}`),
		pH: known ?? expectedPh(inBath, bath.liters, bath.goods, bath.water).pH
	};
}
/** Water topped up with the acid that keeps the bath as acid as it was, in the acid poured last. */
function planTopUp(topUpMl, doses, gPerL) {
	if (topUpMl <= 0) return null;
	const last = doses.findLast((dose) => dose.value > 0);
	if (!last) return {
		water: figure(topUpMl, "mL", "as decided"),
		acid: figure(0, "mL", "no acid in this bath"),
		label: "acid"
	};
	const facts = ACIDS[last.material];
	const due = topUpAcid(gPerL, topUpMl, last.strengthPercent, facts.unit);
	return {
		water: figure(due.waterMl, "mL", `${formatAmount(topUpMl, "mL")} topped up${facts.unit === "mL" ? " less the liquid acid" : ""}`),
		acid: figure(due.amount, facts.unit, `${plainNumber(gPerL)} g/L × ${formatAmount(topUpMl, "mL")} ÷ ${plainNumber(last.strengthPercent)} %: the bath keeps its acid per liter`),
		label: facts.label
	};
}
// packages/core/src/recipe/methodFigures.ts
/** What only one method needs to know. */
function methodFigures(method, passGrams, bath, gPerL, pass) {
	const named = (name, value) => ({
		name,
		figure: value
	});
	switch (method.kind) {
		case "low immersion": {
			const area = panArea(method.pan);
			return [named("Pan holds to the rim", figure(area * method.wallCm, "mL", `${area.toFixed(0)} cm² × ${plainNumber(method.wallCm)} cm`)), named("Goods per area", figure(100 * passGrams / area, "g", `${plainNumber(passGrams)} g on ${area.toFixed(0)} cm², per 100 cm²`))];
		}
		case "dip": return [named("Goods in the bath", figure(passGrams, "g", `${plainNumber(method.sharePercent)} % of the length`)), named("Time in the bath per step", figure(method.minutes / method.steps, "min", `${plainNumber(method.minutes)} min ÷ ${method.steps} steps`))];
		case "ice": {
			const melt = method.iceGrams;
			const diluted = gPerL * bath.value / (bath.value + melt);
			const dose = pass.acids.findLast((candidate) => candidate.value > 0);
			const due = dose ? topUpAcid(gPerL, melt, dose.strengthPercent, dose.material === "citric" ? "g" : "mL").amount : 0;
			return [
				named("Melt water", figure(melt, "mL", `${plainNumber(melt)} g of ice is as many mL of water`)),
				named("Acid per liter once melted", figure(diluted, "g/L", `${plainNumber(gPerL)} g/L × ${formatAmount(bath.value, "mL")} ÷ ${formatAmount(bath.value + melt, "mL")}`)),
				named("Acid for the melt water", figure(due, dose?.material === "citric" ? "g" : "mL", `${plainNumber(gPerL)} g/L × ${formatAmount(melt, "mL")}: due before the set`))
			];
		}
		case "repeated": return [named("Time between the first dose and the last", figure(method.minutes * method.repeats, "min", `${method.repeats} × ${plainNumber(method.minutes)} min`))];
		case "painted stack":
		case "painting":
		case "blank painting": return [named("Paint in all", bath)];
		default: return [];
	}
}
// packages/core/src/amounts/dyeMass.ts
/**
* Dye powder for a depth of shade.
* @param wogGrams dry mass of the goods, g, > 0
* @param dosPercent depth of shade, % on weight of fiber, 0 to 12
* @param lotStrength strength of this jar of powder against standard, 1 = standard, > 0
* @returns grams of powder. Exact: g = WOG × DOS / 100 / lot strength.
* @throws FieldError when an argument is outside its range
*/
function dyeGrams(wogGrams, dosPercent, lotStrength = 1) {
	if (!(wogGrams > 0)) throw new FieldError("goods", "The goods must weigh more than zero grams.");
	if (!(dosPercent >= 0 && dosPercent <= 12)) throw new FieldError("dosPercent", "Depth of shade must be from 0 to 12 %.");
	if (!(lotStrength > 0)) throw new FieldError("lotStrength", "Lot strength must be more than zero; standard is 1.");
	return wogGrams * dosPercent / 100 / lotStrength;
}
/**
* Depth of shade that a mass of dye gives on these goods; the inverse of `dyeGrams`.
* @returns % on weight of fiber
*/
function depthOfShade(grams, wogGrams, lotStrength = 1) {
	if (!(wogGrams > 0)) throw new FieldError("goods", "The goods must weigh more than zero grams.");
	return 100 * grams * lotStrength / wogGrams;
}
// packages/core/src/amounts/stock.ts
var checkStrength = (strengthPercent) => {
	if (!(strengthPercent > 0 && strengthPercent <= 10)) throw new FieldError("strengthPercent", "Stock strength must be more than 0 and at most 10 % w/v.");
};
/**
* Volume of stock solution that holds a mass of dye. Exact: mL = 100 × g / c.
* @param grams dye, g
* @param strengthPercent c, % w/v (g per 100 mL), above 0 to 10
* @throws FieldError when the strength is outside its range
*/
function stockMl(grams, strengthPercent) {
	checkStrength(strengthPercent);
	return 100 * grams / strengthPercent;
}
/** Grams of dye in a volume of stock; the inverse of `stockMl`. */
function gramsInStock(volumeMl, strengthPercent) {
	checkStrength(strengthPercent);
	return volumeMl * strengthPercent / 100;
}
// packages/core/src/units/conversions.ts
/**
* Unit factors. Volumes: NIST Handbook 44 (2024), Appendix C, US customary liquid measure; metric spoons and
* the Australian tablespoon are legal metric sizes. Masses: international avoirdupois pound, exact since 1959.
*/
/** Milliliters in one of each US customary measure. */
var US_ML = {
	tsp: 4.92892159375,
	tbsp: 14.78676478125,
	"fl oz": 29.5735295625,
	cup: 236.5882365,
	pt: 473.176473,
	qt: 946.352946,
	gal: 3785.411784
};
/** Milliliters in metric kitchen measures. */
var METRIC_ML = {
	tsp: 5,
	tbsp: 15,
	cup: 250
};
/** The Australian tablespoon is four teaspoons of 5 mL. */
var AU_ML = {
	tsp: 5,
	tbsp: 20,
	cup: 250
};
/** Centimeters in an inch, exact since 1959. */
var INCH_CM = 2.54;
/** Milliliters of one spoon or cup in a spoon system. */
function spoonMl(measure, system) {
	return system === "US" ? US_ML[measure] : system === "metric" ? METRIC_ML[measure] : AU_ML[measure];
}
/** The one number in an entry, in the unit of its school. */
function entryAmount(entry) {
	switch (entry.school) {
		case "depth": return entry.percent;
		case "grams": return entry.grams;
		case "stock": return entry.milliliters;
		case "stock spoons":
		case "powder spoons": return entry.teaspoons;
		case "parts": return entry.parts;
		case "print": return entry.inkPercent;
	}
}
/**
* Reads an entry of any school as grams and % depth of shade.
* @throws FieldError when stock is asked for and there is no jar, or the depth would be over 12 %
*/
function readEntry(entry, context, field = "dyes") {
	const { wogGrams, dye } = context;
	const read = gramsOf(entry, context, field);
	const dosPercent = entry.school === "depth" ? entry.percent : depthOfShade(read.grams, wogGrams, dye.lotStrength);
	if (dosPercent > 12) throw new FieldError(`${field}.entry`, `${dye.name} comes to ${dosPercent.toFixed(1)} % on ${plainNumber(wogGrams)} g of goods. Depth of shade cannot be over 12 %.`);
	return {
		...read,
		dosPercent
	};
}
function gramsOf(entry, context, field) {
	const { wogGrams, dye, spoons } = context;
	const lot = dye.lotStrength === 1 ? "" : ` ÷ ${plainNumber(dye.lotStrength)} lot strength`;
	const ofDepth = (percent, said) => {
		const grams = dyeGrams(wogGrams, Math.min(12, percent), dye.lotStrength) * (percent > 12 ? percent / 12 : 1);
		return {
			grams,
			sureness: "exact",
			because: `${plainNumber(wogGrams)} g × ${said} ÷ 100${lot} = ${plainNumber(grams)} g`
		};
	};
	switch (entry.school) {
		case "depth": return ofDepth(entry.percent, `${plainNumber(entry.percent)} %`);
		case "parts": return ofDepth(context.partsDepthPercent * entry.parts / context.partsInPass, `${plainNumber(context.partsDepthPercent)} % × ${plainNumber(entry.parts)} of ${plainNumber(context.partsInPass)} parts`);
		case "print": return ofDepth(context.printDepthPercent * entry.inkPercent / 100, `${plainNumber(context.printDepthPercent)} % × ${plainNumber(entry.inkPercent)} % ink`);
		case "grams": return {
			grams: entry.grams,
			sureness: "exact",
			because: `${plainNumber(entry.grams)} g as decided`
		};
		case "stock":
		case "stock spoons": {
			const { stock } = context;
			if (!stock) throw new FieldError(`${field}.stockId`, `${dye.name} is measured as stock. Choose the jar it is poured from.`);
			const ml = entry.school === "stock" ? entry.milliliters : entry.teaspoons * spoonMl("tsp", spoons);
			const grams = gramsInStock(ml, stock.strengthPercent);
			return {
				grams,
				sureness: "exact",
				because: `${entry.school === "stock" ? `${plainNumber(ml)} mL` : `${plainNumber(entry.teaspoons)} tsp × ${plainNumber(spoonMl("tsp", spoons))} mL`} × ${plainNumber(stock.strengthPercent)} % w/v ÷ 100 = ${plainNumber(grams)} g`
			};
		}
		case "powder spoons": {
			const perTeaspoon = gramsPerTeaspoon(dye);
			const grams = entry.teaspoons * perTeaspoon;
			return {
				grams,
				sureness: "estimate",
				because: `${plainNumber(entry.teaspoons)} tsp × ${plainNumber(perTeaspoon)} g per level teaspoon${dye.gramsPerTeaspoon === null ? ", not weighed" : ""} = ${plainNumber(grams)} g`
			};
		}
	}
}
/** Grams in one level teaspoon of a dye: its own, or the default until it has been weighed. */
var gramsPerTeaspoon = (dye) => dye.gramsPerTeaspoon ?? 2.8;
// packages/core/src/recipe/convertLine.ts
/** Sum of the parts in a pass. */
var partsIn = (dyes) => dyes.reduce((sum, line) => sum + (line.entry.school === "parts" ? line.entry.parts : 0), 0);
// packages/core/src/recipe/planPours.ts
/** The goods that one dye line is for: its section's share of the goods, or all that the pass reaches. */
function lineShare(pass, line, reached) {
	const sections = sectionsOf(pass.method);
	if (sections.length === 0) return reached;
	return ((sections.find((candidate) => candidate.id === line.sectionId) ?? sections[0])?.sharePercent ?? 100) / 100;
}
/** What an entry of this line is read against. @param wogGrams all the goods of the recipe, g */
function entryContext(pass, line, wogGrams, reached, from, field = "dyes") {
	const stock = line.stockId === null ? null : named(from.stocks, line.stockId, `${field}.stockId`, "stock jar");
	return {
		wogGrams: wogGrams * lineShare(pass, line, reached),
		dye: named(from.dyes, line.dyeId, `${field}.dyeId`, "dye"),
		stock: methodFacts(pass.method.kind).dry ? null : stock,
		spoons: from.spoons,
		partsInPass: partsIn(pass.dyes),
		partsDepthPercent: pass.partsDepthPercent,
		printDepthPercent: pass.printDepthPercent
	};
}
/**
* What to pour or weigh for one line of a pass, in one or several equal doses, with the tool to measure it.
* @param idPrefix stands before the ids of this pass's steps
*/
function planPour(pass, line, field, formulation, goods, reached, idPrefix) {
	const context = entryContext(pass, line, goods.wogGrams, reached, formulation, field);
	const { dye, stock, wogGrams } = context;
	const read = readEntry(line.entry, context, field);
	const dyeable = goods.dyeableGrams * wogGrams / goods.wogGrams;
	const doses = pass.method.kind === "repeated" ? pass.method.repeats : 1;
	const grams = figure(read.grams, "g", read.because, read.sureness);
	const volumeMl = stock ? stockMl(read.grams, stock.strengthPercent) : 0;
	const volume = stock ? figure(volumeMl, "mL", `100 × ${plainNumber(read.grams)} g ÷ ${plainNumber(stock.strengthPercent)} % w/v = ${plainNumber(volumeMl)} mL`, read.sureness) : null;
	const whole = volume ?? grams;
	const each = doses === 1 ? whole : figure(whole.value / doses, whole.unit, `${formatAmount(whole.value, whole.unit)} ÷ ${doses} doses`, whole.sureness);
	const dosOf = (mass) => depthOfShade(mass, wogGrams, dye.lotStrength);
	const measured = measure(each.value, stock, doses, formulation.tools, dosOf);
	const citric = pass.method.kind === "sprinkle" ? pass.method.citricPerGram : 0;
	const perGram = dye.jarPriceCents !== null && dye.jarGrams !== null ? dye.jarPriceCents / dye.jarGrams : null;
	return {
		lineId: line.id,
		stepId: `${idPrefix}dye-${line.id}`,
		dyeId: dye.id,
		dyeName: dye.name,
		sectionId: sectionOfLine(pass, line),
		school: line.entry.school,
		stockId: stock?.id ?? null,
		stockCode: stock?.code ?? "",
		strengthPercent: stock?.strengthPercent ?? null,
		lotStrength: dye.lotStrength,
		grams,
		volume,
		doses,
		each,
		cut: citric > 0 ? figure(read.grams * citric, "g", `${plainNumber(read.grams)} g × ${plainNumber(citric)} g citric per gram of dye`, read.sureness) : null,
		dos: figure(read.dosPercent, "%", line.entry.school === "depth" ? "as decided, on the goods it is for" : `100 × ${plainNumber(read.grams)} g${dye.lotStrength === 1 ? "" : ` × ${plainNumber(dye.lotStrength)}`} ÷ ${plainNumber(wogGrams)} g of goods`, read.sureness),
		dosOnDyeable: dyeable > 0 && dyeable < wogGrams - 1e-9 ? figure(depthOfShade(read.grams, dyeable, dye.lotStrength), "%", `100 × ${plainNumber(read.grams)} g ÷ ${plainNumber(dyeable)} g that takes dye`, read.sureness) : null,
		measured,
		dilution: stock ? dilute(each.value, stock, doses, measured, formulation.tools, dosOf) : null,
		cost: perGram === null ? null : figure(perGram * read.grams, "cents", `${plainNumber(read.grams)} g × ${formatAmount(perGram, "cents")} per gram`, read.sureness)
	};
}
function sectionOfLine(pass, line) {
	const sections = sectionsOf(pass.method);
	if (sections.length === 0) return null;
	return (sections.find((section) => section.id === line.sectionId) ?? sections[0])?.id ?? null;
}
var PRACTICE = "reading error is half a graduation, in quadrature over the fills: common practice, no source";
function measure(amount, stock, doses, tools, dosOf) {
	const unit = stock ? "mL" : "g";
	const chosen = chooseTool(amount, unit, tools);
	if (!chosen) return null;
	const { tool, fills, reading, errorPercent } = chosen;
	const grams = doses * (stock ? gramsInStock(reading, stock.strengthPercent) : reading);
	return {
		toolId: tool.id,
		toolName: tool.name,
		fills,
		reading: figure(reading, unit, `${plainNumber(amount)} ${unit} read to ${plainNumber(tool.kind === "spoon" ? tool.capacity : tool.graduation)} ${unit} on the ${tool.name}`),
		error: figure(Number(errorPercent.toPrecision(2)), "%", `100 × ${plainNumber(tool.graduation)} ÷ 2${fills > 1 ? ` × √${fills}` : ""} ÷ ${plainNumber(reading)} ${unit}`, "estimate", PRACTICE),
		realDos: figure(dosOf(grams), "%", `what ${doses > 1 ? `${doses} × ` : ""}${plainNumber(reading)} ${unit} gives`)
	};
}
function dilute(amount, stock, doses, measured, tools, dosOf) {
	if (tools.length === 0 || measured && measured.error.value <= 3) return null;
	const plan = dilutionPlan(amount, stock.strengthPercent, tools);
	if (!plan) return null;
	const { take, makeUp, pour, ratio, strengthPercent } = plan;
	const grams = doses * gramsInStock(pour.reading, strengthPercent);
	return {
		ratio,
		take: figure(take.reading, "mL", `${plainNumber(makeUp.reading)} mL ÷ ${ratio}`),
		takeWith: take.tool.name,
		makeUp: figure(makeUp.reading, "mL", `the smallest usual volume that holds ${plainNumber(amount)} mL × ${ratio}`),
		makeUpWith: makeUp.tool.name,
		strengthPercent,
		pour: figure(pour.reading, "mL", `${plainNumber(amount)} mL × ${plainNumber(stock.strengthPercent)} % ÷ ${plainNumber(strengthPercent)} %, read on the ${pour.tool.name}`),
		pourWith: pour.tool.name,
		error: figure(Number(plan.errorPercent.toPrecision(2)), "%", "taking, making up and pouring, in quadrature", "estimate", PRACTICE),
		realDos: figure(dosOf(grams), "%", `what ${plainNumber(pour.reading)} mL of the dilution gives`)
	};
}
/** Every dye of a pass, by its class. */
var dyesOfPass = (pass, dyes) => pass.dyes.map((line) => named(dyes, line.dyeId, "dyeId", "dye"));
/** What a line brings into the pot as liquid, mL. */
var pouredMl = (pour) => pour.dilution ? pour.dilution.pour.value * pour.doses : pour.volume ? (pour.measured?.reading.value ?? pour.each.value) * pour.doses : 0;
// packages/core/src/recipe/passParts.ts
/** The painted sections of a pass or the layers of its stack, each with what it takes. */
function passParts(pass, pours, wogGrams) {
	const { method } = pass;
	if (method.kind === "painted stack") return layersOf(method, pours, wogGrams);
	const pickUp = method.kind === "painting" || method.kind === "blank painting" ? method.pickUpMlPerG : 0;
	return sectionsOf(method).map((section) => {
		const grams = wogGrams * section.sharePercent / 100;
		const mine = pours.filter((pour) => pour.sectionId === section.id);
		const paint = pickUp * grams;
		const stock = mine.reduce((sum, pour) => sum + pouredMl(pour), 0);
		return {
			id: section.id,
			name: section.name,
			goods: figure(grams, "g", `${plainNumber(section.sharePercent)} % × ${plainNumber(wogGrams)} g`),
			paint: figure(paint, "mL", `${plainNumber(pickUp)} mL/g × ${plainNumber(grams)} g`, "estimate", "wet pick-up: from memory, yields to your own"),
			fillUp: figure(Math.max(0, paint - stock), "mL", `${formatAmount(paint, "mL")} paint − ${formatAmount(stock, "mL")} stock`),
			dos: figure(mine.reduce((sum, pour) => sum + pour.dos.value, 0), "%", `${mine.map((pour) => plainNumber(pour.dos.value)).join(" + ") || "0"} % on this section`)
		};
	});
}
/**
* Layers of a stack, top first: each keeps what does not drain, the lowest keeps all that reaches it, so that the dye
* adds up. An estimate: the drained share is the dyer's own.
*/
function layersOf({ layers, drainPercent, pickUpMlPerG }, pours, wogGrams) {
	const mean = pours.reduce((sum, pour) => sum + pour.dos.value, 0);
	const drains = drainPercent / 100;
	const grams = wogGrams / layers;
	let fromAbove = 0;
	return Array.from({ length: layers }, (_, i) => {
		const given = mean + fromAbove;
		const lowest = i === layers - 1;
		fromAbove = lowest ? 0 : given * drains;
		return {
			id: `layer-${i + 1}`,
			name: i === 0 ? "Top layer" : lowest ? "Lowest layer" : `Layer ${i + 1}`,
			goods: figure(grams, "g", `${plainNumber(wogGrams)} g ÷ ${layers} layers`),
			paint: figure(pickUpMlPerG * grams, "mL", `${plainNumber(pickUpMlPerG)} mL/g × ${plainNumber(grams)} g`, "estimate", "wet pick-up: from memory, yields to your own"),
			fillUp: null,
			dos: figure(given - fromAbove, "%", `${plainNumber(given)} % reaches it${lowest ? " and stays" : `, ${plainNumber(drainPercent)} % of it drains on`}`, "estimate", "mass balance on the drained share")
		};
	});
}
// packages/core/src/recipe/passSentence.ts
var WHEN = {
	soak: "in the soak",
	start: "at the start",
	warm: "when warm",
	last: "late",
	"with powder": "with the powder"
};
/** A whole pass as one sentence, for when it is folded. */
function passSentence(pass, planned) {
	const dyes = pass.dyes.length === 1 ? planned.pours[0]?.dyeName ?? "1 dye" : `${pass.dyes.length} dyes`;
	const { kind, count } = pass.arrangement;
	const lies = kind === "open" ? [] : [kind === "laid flat" ? kind : `${kind} ${count}×`];
	const acid = planned.acids.length === 0 ? "no acid" : `acid ${[...new Set(planned.acids.map((one) => WHEN[one.when]))].join(" and ")}`;
	const heat = planned.heat ? `${formatAmount(planned.heat.hold.value, "min")} at ${planned.heat.temperature.value} °C` : pass.method.kind === "cool bath" || pass.method.kind === "glaze" ? `${formatAmount(pass.method.minutes, "min")} cold` : pass.method.kind === "ice" ? `melts in ${formatAmount(pass.method.meltMinutes, "min")}` : "no heat before the set";
	return [
		dyes,
		formatAmount(planned.dos.value, "%"),
		methodFacts(pass.method.kind).label,
		...lies,
		...pass.goodsGoIn === "dry" ? ["goods dry"] : [],
		acid,
		heat
	].join(", ");
}
// packages/core/src/recipe/planPass.ts
/** Density of wool-like fiber, g/mL: Handbook of Textile Fibre Structure, wool 1.31. */
var FIBER_G_PER_ML = 1.31;
/** Ids of the first pass's steps stand bare, as in records made before there were several passes. */
var stepPrefix = (pass, index) => index === 0 ? "" : `${pass.id}-`;
/** One pass: goods it reaches, pours, bath, acid, heat, and what only its method needs. */
function planPass(inputs) {
	const { pass, index, formulation, goods } = inputs;
	const reached = passShare(pass.method);
	const prefix = stepPrefix(pass, index);
	const passGrams = goods.wogGrams * reached;
	const pours = pass.dyes.map((line, d) => planPour(pass, line, `recipe.passes.${index}.dyes.${d}`, formulation, goods, reached, prefix));
	const poured = pours.reduce((sum, pour) => sum + pouredMl(pour), 0);
	const kept = keepsBath(pass) ? inputs.left : null;
	const bath = bathFigure(pass, passGrams, kept, poured);
	const acidBath = {
		liters: Math.max(bath.value, 1) / 1e3,
		wogGrams: passGrams,
		goods: inputs.goodsInBath.map((line) => ({
			...line,
			grams: line.grams * reached
		})),
		water: formulation.water,
		before: kept?.acids ?? [],
		idPrefix: prefix
	};
	const { acids, inBath } = planAcids(withCut(pass, pours), acidBath);
	const inBathAcid = bathAcid(inBath, acidBath, acids.at(-1)?.pH);
	const liquidAcid = acids.reduce((sum, acid) => sum + (acid.amount.unit === "mL" ? acid.amount.value : 0), 0);
	const already = kept?.liquidMl ?? 0;
	const water = figure(kept ? 0 : Math.max(0, bath.value - poured - liquidAcid), "mL", kept ? `the bath of the pass before stays in the pot, ${formatAmount(already, "mL")}` : `${formatAmount(bath.value, "mL")} bath − ${formatAmount(poured, "mL")} stock − ${formatAmount(liquidAcid, "mL")} liquid acid`);
	const startC = kept?.temperatureC ?? formulation.place.tapC;
	const heat = planHeat(pass, startC, bath.value, goods.wogGrams, formulation);
	const dye = doseOnGoods(pours, passGrams, goods.wogGrams);
	const planned = {
		id: pass.id,
		kind: pass.method.kind,
		title: METHODS[pass.method.kind].label,
		sentence: "",
		goods: figure(passGrams, "g", `${plainNumber(goods.wogGrams)} g × ${plainNumber(100 * reached)} %`),
		parts: passParts(pass, pours, goods.wogGrams),
		pours,
		bath,
		liquorRatio: figure(bath.value / passGrams, "mL/g", `${formatAmount(bath.value, "mL")} ÷ ${formatAmount(passGrams, "g")}`),
		water,
		acids,
		acidsBefore: acidBath.before,
		phWindow: phWindow(dyesOfPass(pass, formulation.dyes).map((one) => one.dyeClass)),
		bathAcid: inBathAcid,
		topUp: planTopUp(pass.topUpMl, pass.acids, inBathAcid?.gPerL.value ?? 0),
		figures: methodFigures(pass.method, passGrams, bath, inBathAcid?.gPerL.value ?? 0, pass),
		heat,
		dos: dye.onReached,
		dosOnAllGoods: dye.onAll
	};
	planned.sentence = passSentence(pass, planned);
	const melt = pass.method.kind === "ice" ? pass.method.iceGrams : 0;
	return {
		planned,
		left: {
			liquidMl: bath.value + melt,
			temperatureC: pass.heat?.temperatureC ?? (pass.method.kind === "cool bath" ? pass.method.temperatureC : startC),
			acids: inBath
		}
	};
}
/** Citric that powder is cut with is acid in the bath too. */
function withCut(pass, pours) {
	const cut = pours.reduce((sum, pour) => sum + (pour.cut?.value ?? 0), 0);
	if (cut === 0) return pass.acids;
	return [...pass.acids, {
		material: "citric",
		strengthPercent: 100,
		basis: "amount",
		value: cut,
		when: "with powder"
	}];
}
function bathFigure(pass, grams, kept, poured) {
	const { method, water } = pass;
	if (method.kind === "painting" || method.kind === "blank painting" || method.kind === "painted stack") return figure(method.pickUpMlPerG * grams, "mL", `${plainNumber(method.pickUpMlPerG)} mL picked up per gram × ${plainNumber(grams)} g`, "estimate", "wet pick-up: from memory, yields to your own");
	if (method.kind === "low immersion") {
		const area = panArea(method.pan);
		return figure(Math.max(0, area * method.depthCm - grams / FIBER_G_PER_ML), "mL", `${area.toFixed(0)} cm² × ${plainNumber(method.depthCm)} cm − ${plainNumber(grams)} g of fiber ÷ ${FIBER_G_PER_ML} g/mL`, "exact", "density of wool: Morton and Hearle, Physical Properties of Textile Fibres, from memory");
	}
	if (kept) return figure(kept.liquidMl + poured, "mL", `${formatAmount(kept.liquidMl, "mL")} in the pot + ${formatAmount(poured, "mL")} stock`);
	if (water.basis === "ratio") return figure(water.value * grams, "mL", `${plainNumber(water.value)} mL/g × ${plainNumber(grams)} g`);
	return figure(water.basis === "volume" ? water.value : poured, "mL", "as decided");
}
function planHeat(pass, startC, bathMl, fiberGrams, { pot, place }) {
	if (!pass.heat || !methodFacts(pass.method.kind).hot) return null;
	const { temperatureC, minutes, rampCPerMin } = pass.heat;
	return {
		rise: riseFigure({
			waterMl: bathMl,
			fiberGrams,
			pot,
			roomC: place.roomC
		}, startC, temperatureC, rampCPerMin),
		temperature: figure(temperatureC, "°C", "as decided"),
		hold: figure(minutes, "min", "as decided")
	};
}
/** Depth of the pass on the goods it reaches, and on all of them. */
function doseOnGoods(pours, passGrams, wogGrams) {
	const strong = pours.reduce((sum, pour) => sum + pour.grams.value * pour.lotStrength, 0);
	const said = pours.map((pour) => plainNumber(pour.dos.value)).join(" + ") || "0";
	const split = pours.some((pour) => pour.sectionId !== null) || passGrams < wogGrams;
	const direct = pours.reduce((sum, pour) => sum + pour.dos.value, 0);
	const sureness = pours.some((pour) => pour.dos.sureness === "estimate") ? "estimate" : "exact";
	return {
		onReached: split ? figure(100 * strong / passGrams, "%", `all dye of the pass on ${formatAmount(passGrams, "g")}`, sureness) : figure(direct, "%", `${said} %`, sureness),
		onAll: split ? figure(100 * strong / wogGrams, "%", `all dye of the pass on ${formatAmount(wogGrams, "g")}`, sureness) : figure(direct, "%", `${said} %`, sureness)
	};
}
// packages/core/src/heat/boilingPoint.ts
/** ISO 2533:1975 standard atmosphere: sea-level pressure and temperature, lapse rate, g M / (R L). */
var SEA_LEVEL_KPA = 101.325;
var SEA_LEVEL_K = 288.15;
var LAPSE_K_PER_M = .0065;
var EXPONENT = 5.25588;
/**
* Air pressure at an altitude in the standard atmosphere, kPa. Established: ISO 2533:1975.
* @param altitudeM above sea level, m, below the tropopause (11 000 m)
*/
function airPressureKpa(altitudeM) {
	return SEA_LEVEL_KPA * (1 - LAPSE_K_PER_M * altitudeM / SEA_LEVEL_K) ** EXPONENT;
}
/** Coefficients n1 to n10 of the saturation line, IAPWS-IF97 region 4 (2007 revision), equation 31. */
var N = [
	1167.0521452767,
	-724213.16703206,
	-17.073846940092,
	12020.82470247,
	-3232555.0322333,
	14.91510861353,
	-4823.2657361591,
	405113.40542057,
	-.23855557567849,
	650.17534844798
];
/**
* Temperature at which water boils under a pressure, °C. Established: IAPWS-IF97, backward equation of region 4.
* @param pressureKpa 0.6113 to 22 064 kPa
*/
function boilingC(pressureKpa) {
	const beta = (pressureKpa / 1e3) ** .25;
	const e = beta ** 2 + N[2] * beta + N[5];
	const f = N[0] * beta ** 2 + N[3] * beta + N[6];
	const g = N[1] * beta ** 2 + N[4] * beta + N[7];
	const d = 2 * g / (-f - Math.sqrt(f ** 2 - 4 * e * g));
	return (N[9] + d - Math.sqrt((N[9] + d) ** 2 - 4 * (N[8] + N[9] * d))) / 2 - 273.15;
}
/** Where water boils at an altitude, °C: the hottest a bath or open steam can be. */
var boilingPointC = (altitudeM) => boilingC(airPressureKpa(altitudeM));
// packages/core/src/heat/bundle.ts
/** Thermal diffusivity of wet wool, about that of water, m²/s (from memory). */
var DIFFUSIVITY = 14e-8;
/** First zeros of the Bessel function J0, and J1 there: Abramowitz and Stegun, table 9.5. */
var J0_ZEROS = [
	2.40482556,
	5.52007811,
	8.65372791,
	11.79153444
];
var J1_AT_ZEROS = [
	.51914749,
	-.34026481,
	.27145229,
	-.23245984
];
/**
* Share of the way from start to steam temperature that the center of a bundle still has to go, 1 to 0: a long
* cylinder whose surface is at steam temperature from the start. Carslaw and Jaeger, Conduction of Heat in Solids.
* @param fourier diffusivity × time / radius²
*/
function centerLag(fourier) {
	if (fourier < .02) return 1;
	const lag = J0_ZEROS.reduce((sum, zero, i) => sum + 2 / (zero * (J1_AT_ZEROS[i] ?? 1)) * Math.exp(-zero * zero * fourier), 0);
	return Math.min(1, Math.max(0, lag));
}
/**
* Minutes until the center of a wrapped bundle in steam reaches a temperature. An estimate that tells a thick coil
* from a thin one: wraps, air and loosely packed yarn make it longer or shorter.
* @param diameterCm of the bundle, cm, > 0
* @returns minutes; Infinity when the steam is not that hot
*/
function centerHotMinutes(diameterCm, fromC, toC, steamC) {
	if (toC <= fromC) return 0;
	if (toC >= steamC) return Number.POSITIVE_INFINITY;
	const wanted = (steamC - toC) / (steamC - fromC);
	let low = 0;
	let high = 10;
	while (high - low > 1e-6) {
		const middle = (low + high) / 2;
		if (centerLag(middle) > wanted) low = middle;
		else high = middle;
	}
	const radius = diameterCm / 200;
	return low * radius * radius / DIFFUSIVITY / 60;
}
// packages/core/src/recipe/planSet.ts
/** How near to the steam's own temperature the center of a bundle counts as hot, °C (common practice, no source). */
var NEAR_STEAM_C = 5;
/**
* The set: rise, hold, cool, and what the place allows.
* @param bathMl bath of the last pass, mL
* @param fromC temperature that pass leaves it at
*/
function planSet({ recipe, pot, place }, bathMl, fiberGrams, fromC) {
	const { set } = recipe;
	const facts = setMethodFacts(set.method);
	const boiling = boilingPointC(place.altitudeM);
	const inPot = facts.riseMinutes === void 0;
	const capacity = heatCapacityJPerK(bathMl, fiberGrams, pot?.vesselJPerK ?? 0);
	const steamC = Math.min(set.temperatureC, boiling);
	const center = set.method === "steam" ? centerHotMinutes(set.bundleCm, place.roomC, steamC - NEAR_STEAM_C, steamC) : NaN;
	const cools = pot && inPot ? coolDownMinutes(pot.lossWPerK, capacity, set.temperatureC, 40, place.roomC) : NaN;
	return {
		method: set.method,
		temperature: figure(set.temperatureC, "°C", "as decided"),
		hold: figure(set.minutes, "min", "as decided"),
		cool: figure(set.coolMinutes, "min", "as decided"),
		rise: inPot ? riseFigure({
			waterMl: bathMl,
			fiberGrams,
			pot,
			roomC: place.roomC
		}, fromC, set.temperatureC, set.rampCPerMin) : figure(facts.riseMinutes ?? 0, "min", `to get the ${facts.label} hot`, "estimate", PRACTICE$1),
		boiling: figure(boiling, "°C", `saturation at ${airPressureKpa(place.altitudeM).toFixed(1)} kPa, the standard atmosphere at ${place.altitudeM} m`, "established", "ISO 2533:1975; IAPWS-IF97"),
		centerHot: Number.isFinite(center) ? figure(center, "min", `center of a ${set.bundleCm} cm bundle from ${place.roomC} °C to within ${NEAR_STEAM_C} °C of the steam, 1.4 × 10⁻⁷ m²/s`, "estimate", "conduction into a cylinder, Carslaw and Jaeger; diffusivity of wet wool from memory") : null,
		expectedCool: Number.isFinite(cools) ? figure(cools, "min", `ln((${set.temperatureC} − ${place.roomC}) ÷ (40 − ${place.roomC})) × ${capacity.toFixed(0)} J/K ÷ ${pot?.lossWPerK ?? 0} W/K`, "estimate", "Newton’s law of cooling; vessel data as entered") : null
	};
}
// packages/core/src/recipe/setSteps.ts
var SET_CAUTIONS = {
	simmer: ["scald", "unattended"],
	steam: ["steam", "unattended"],
	oven: [
		"oven",
		"scald",
		"unattended"
	],
	microwave: ["microwave", "scald"],
	"warm rest": []
};
/** The heat set, cooling in place, rinse and drying. */
function setSteps(inputs) {
	const { set, canFelt } = inputs;
	const facts = setMethodFacts(set.method);
	const felting = canFelt && set.method !== "warm rest" ? ["hotWool"] : [];
	const cautions = [...SET_CAUTIONS[set.method], ...felting];
	const rises = facts.riseMinutes === void 0 ? potRise(inputs, cautions) : liftedRise(inputs, cautions);
	const heated = rises.some((step) => step.kind === "heat");
	return [
		...inputs.catchUp === null ? [] : [makeStep({
			id: "catch-up",
			kind: "goods",
			passId: null,
			title: `Put ${inputs.catchUp} in to catch what is left`,
			handsOnMinutes: 3
		})],
		...inputs.topUpSteps,
		...rises,
		...inputs.atLast.map((step) => ({
			...step,
			onHeat: true
		})),
		makeStep({
			id: "set",
			kind: "set",
			passId: null,
			title: `Hold at ${set.temperatureC} °C, ${facts.label}`,
			wait: decided(set.minutes),
			toC: set.temperatureC,
			handsOnMinutes: 5,
			onHeat: set.method !== "warm rest",
			cautions: heated ? felting : cautions
		}),
		...set.coolMinutes > 0 ? [makeStep({
			id: "cool",
			kind: "cool",
			passId: null,
			title: `Cool in place to 40 °C; color is still moving onto the fiber`,
			wait: decided(set.coolMinutes),
			toC: 40,
			handsOnMinutes: 0,
			cautions: felting
		})] : [],
		makeStep({
			id: "rinse",
			kind: "rinse",
			passId: null,
			title: "Rinse cool, one drop of dish soap as the bleed test",
			handsOnMinutes: 8,
			cautions: ["disposal"]
		}),
		makeStep({
			id: "dry",
			kind: "dry",
			passId: null,
			title: "Spin and hang to dry",
			handsOnMinutes: 5
		})
	];
}
/** Rise in the pot, with acid “when warm” on the way. */
function potRise({ set, rise, fromC, atWarm }, cautions) {
	const step = (id, from, to) => {
		const wait = rise(from, to);
		return wait.value > 0 ? [makeStep({
			id,
			kind: "heat",
			passId: null,
			title: `Heat slowly to ${to} °C`,
			wait,
			toC: to,
			handsOnMinutes: 3,
			onHeat: true,
			cautions
		})] : [];
	};
	if (atWarm.length === 0 || set.temperatureC <= 60 || fromC >= 60) return [...atWarm, ...step("heat", fromC, set.temperatureC)];
	return [
		...step("warm", fromC, 60),
		...atWarm,
		...step("heat", 60, set.temperatureC)
	];
}
/** Lifted out, squeezed and wrapped for steam, oven or microwave. */
function liftedRise({ set, atWarm }, cautions) {
	const facts = setMethodFacts(set.method);
	const minutes = facts.riseMinutes ?? 0;
	if (minutes <= 0) return [...atWarm];
	return [...atWarm, makeStep({
		id: "heat",
		kind: "heat",
		passId: null,
		title: set.wrap === "none" ? `Lift the goods out, squeeze, lay them in for the ${facts.label}` : `Lift the goods out, squeeze, wrap for the ${facts.label}`,
		wait: figure(minutes, "min", `${minutes} min to get the ${facts.label} hot`, "estimate", PRACTICE$1),
		toC: set.temperatureC,
		handsOnMinutes: 10,
		onHeat: true,
		cautions
	})];
}
// packages/core/src/recipe/plan.ts
/**
* The full plan of a formulation: what to weigh, pour, heat and wait for, and why. Pure; every screen, sheet
* and command shows parts of this one result.
* @param context what jars still hold and what day it is; a jar not named is taken as full
* @throws FieldError when an id is unknown or an amount is impossible
*/
function planFormulation(formulation, context = {}) {
	const { recipe } = formulation;
	const bases = recipe.goods.map((line, i) => named(formulation.bases, line.baseId, `recipe.goods.${i}.baseId`, "yarn base"));
	const wog = sumGoods(recipe.goods);
	const dyeable = dyeableMass(recipe.goods, bases);
	const goodsInBath = recipe.goods.flatMap((line, i) => line.catchUp ? [] : [{
		grams: lineGrams(line),
		fibers: bases[i]?.fibers ?? []
	}]);
	const passes = [];
	let left = null;
	recipe.passes.forEach((pass, index) => {
		const outcome = planPass({
			pass,
			index,
			formulation,
			goods: {
				wogGrams: wog.value,
				dyeableGrams: dyeable.value
			},
			goodsInBath,
			left
		});
		passes.push(outcome.planned);
		left = outcome.left;
	});
	const canFelt = bases.some((base) => !base.superwash && base.fibers.some(({ fiber }) => fiberFacts(fiber).felts));
	const steps = allSteps(formulation, bases, passes, left, wog.value, canFelt);
	const plan = {
		name: formulation.name,
		goods: planGoods(formulation, bases, passes),
		wog,
		dyeable,
		dyeablePercent: figure(100 * dyeable.value / wog.value, "%", `${formatAmount(dyeable.value, "g")} dyeable ÷ ${formatAmount(wog.value, "g")} goods`),
		passes,
		set: planSet(formulation, passes.at(-1)?.bath.value ?? 0, wog.value, bathC(left, formulation)),
		totals: totals(formulation, passes, steps),
		singleDyes: takenApart(formulation, passes),
		steps,
		cautions: cautionsOf(steps)
	};
	return {
		...plan,
		notices: noticesFor(plan, formulation, bases, context)
	};
}
var lineWords = (line) => line.weighedGrams === null ? `${line.count} × ${plainNumber(line.gramsEach)} g` : `${plainNumber(line.weighedGrams)} g as weighed`;
/** Temperature that the last pass leaves the bath at; tap water when there is none. */
var bathC = (left, { place }) => left?.temperatureC ?? place.tapC;
function sumGoods(goods) {
	const counted = goods.filter((line) => !line.catchUp);
	const value = counted.reduce((sum, line) => sum + lineGrams(line), 0);
	return figure(value, "g", `${counted.map(lineWords).join(" + ")} = ${plainNumber(value)} g`);
}
function dyeableMass(goods, bases) {
	const parts = goods.flatMap((line, i) => line.catchUp ? [] : [{
		mass: lineGrams(line),
		share: dyeableShare(bases[i]?.fibers ?? [])
	}]);
	return figure(parts.reduce((sum, part) => sum + part.mass * part.share, 0), "g", parts.map((part) => `${plainNumber(part.mass)} g × ${plainNumber(100 * part.share)} %`).join(" + "));
}
function allSteps(formulation, bases, passes, left, wogGrams, canFelt) {
	const { recipe, pot, place } = formulation;
	const inputs = recipe.passes.flatMap((pass, index) => {
		const planned = passes[index];
		return planned ? [{
			pass,
			planned,
			index,
			last: index === recipe.passes.length - 1,
			prefix: stepPrefix(pass, index),
			wettingMinutes: recipe.wettingMinutes,
			canFelt
		}] : [];
	});
	const last = inputs.at(-1);
	const waiting = last && waitsForSet(last.pass, true) ? (when) => last.planned.acids.filter((acid) => acid.when === when).map((acid) => acidStep(last, acid)) : () => [];
	const spare = recipe.goods.flatMap((line, i) => line.catchUp ? [bases[i]?.name ?? "the spare goods"] : []);
	return [...inputs.flatMap((one) => [...passSteps(one), ...one.last ? [] : topUpSteps(one)]), ...setSteps({
		set: recipe.set,
		fromC: bathC(left, formulation),
		rise: (fromC, toC) => riseFigure({
			waterMl: last?.planned.bath.value ?? 0,
			fiberGrams: wogGrams,
			pot,
			roomC: place.roomC
		}, fromC, toC, recipe.set.rampCPerMin),
		atWarm: waiting("warm"),
		atLast: waiting("last"),
		topUpSteps: last ? topUpSteps(last) : [],
		canFelt,
		catchUp: spare.length === 0 ? null : spare.join(" and ")
	})];
}
function topUpSteps({ pass, planned, prefix }) {
	const { topUp } = planned;
	const acid = planned.acids.at(-1);
	if (!topUp) return [];
	return [...topUp.water.value > 0 ? [makeStep({
		id: `${prefix}top-up`,
		kind: "water",
		passId: pass.id,
		title: "Top the bath up with water",
		measure: {
			amount: topUp.water,
			unit: "mL",
			material: { kind: "water" }
		}
	})] : [], ...acid && topUp.acid.value > 0 ? [makeStep({
		id: `${prefix}top-up-acid`,
		kind: "acid",
		passId: pass.id,
		title: `Add ${acid.label} for the water topped up`,
		measure: {
			amount: topUp.acid,
			unit: ACIDS[acid.material].unit,
			material: {
				kind: "acid",
				material: acid.material,
				strengthPercent: acid.strengthPercent
			}
		},
		cautions: ["acid"]
	})] : []];
}
function planGoods(formulation, bases, passes) {
	const { recipe, dyes } = formulation;
	return recipe.goods.map((line, i) => {
		const base = bases[i];
		const ground = line.dyedOverHex ?? base?.hex ?? "#efe9dc";
		const looks = [plainLook(ground)];
		if (!line.catchUp) recipe.passes.forEach((pass, p) => {
			const planned = passes[p];
			const before = looks.at(-1) ?? plainLook(ground);
			looks.push(planned ? lookAfter(before, pass, planned, dyes) : before);
		});
		return {
			lineId: line.id,
			baseName: base?.name ?? "",
			form: line.form ?? base?.form ?? "skein",
			count: line.count,
			grams: figure(lineGrams(line), "g", lineWords(line)),
			catchUp: line.catchUp,
			undyedHex: ground,
			dyedHex: averageHex(looks.at(-1) ?? plainLook(ground)),
			looks
		};
	});
}
function takenApart({ dyes }, passes) {
	const sums = /* @__PURE__ */ new Map();
	for (const pour of passes.flatMap((pass) => pass.pours)) for (const { dyeId, grams } of singleDyes(pour.dyeId, pour.grams.value, dyes)) sums.set(dyeId, (sums.get(dyeId) ?? 0) + grams);
	return [...sums].map(([dyeId, grams]) => ({
		dyeId,
		name: named(dyes, dyeId, "dyeId", "dye").name,
		grams: figure(grams, "g", "every line of every pass, premixes taken apart by their parts")
	}));
}
function totals({ recipe }, passes, steps) {
	const pours = passes.flatMap((pass) => pass.pours);
	const sum = (values) => values.reduce((total, value) => total + value, 0);
	const waited = (step) => step.wait?.value ?? 0;
	const heated = sum(steps.filter((step) => step.onHeat).map(waited));
	const hands = sum(steps.map((step) => step.handsOnMinutes));
	const waits = sum(steps.map(waited));
	const priced = pours.flatMap((pour) => pour.cost ? [pour.cost.value] : []);
	const unsure = pours.some((pour) => pour.grams.sureness === "estimate") ? "estimate" : "exact";
	return {
		dye: figure(sum(pours.map((pour) => pour.grams.value)), "g", `${pours.map((pour) => plainNumber(pour.grams.value)).join(" + ") || "0"} g`, unsure),
		dos: figure(sum(passes.map((pass) => pass.dosOnAllGoods.value)), "%", `${passes.map((pass) => plainNumber(pass.dosOnAllGoods.value)).join(" + ")} % on all the goods`, unsure),
		water: figure(sum(passes.map((pass) => pass.water.value)), "mL", passes.map((pass) => formatAmount(pass.water.value, "mL")).join(" + ")),
		acids: acidTotals(passes),
		onHeat: figure(heated, "min", "rise and hold of every step on heat", "estimate", PRACTICE$1),
		handsOn: figure(hands, "min", `usual hands-on minutes of ${steps.length} steps`, "estimate", PRACTICE$1),
		elapsed: figure(waits + hands, "min", `${waits.toFixed(0)} min of waits + ${hands.toFixed(0)} min of hands, ${recipe.passes.length} ${recipe.passes.length === 1 ? "pass" : "passes"}`, "estimate", PRACTICE$1),
		cost: priced.length === pours.length && pours.length > 0 ? figure(sum(priced), "cents", "dye powder of every line, at the price of its jar", unsure) : null
	};
}
/** Acid to have at hand, each kind by itself, top-ups included. */
function acidTotals(passes) {
	const doses = passes.flatMap((pass) => [...pass.acids.map((acid) => ({
		material: acid.material,
		amount: acid.amount
	})), ...pass.topUp && pass.topUp.acid.value > 0 && pass.acids.length > 0 ? [{
		material: pass.acids.at(-1)?.material ?? "vinegar",
		amount: pass.topUp.acid
	}] : []]);
	return [...new Set(doses.map((dose) => dose.material))].map((material) => {
		const mine = doses.filter((dose) => dose.material === material);
		const { label, unit } = ACIDS[material];
		return {
			label,
			amount: figure(mine.reduce((sum, dose) => sum + dose.amount.value, 0), unit, mine.map((dose) => formatAmount(dose.amount.value, unit)).join(" + "))
		};
	});
}
// packages/core/src/recipe/upgradeRecipe.ts
var isFields = (value) => typeof value === "object" && value !== null && !Array.isArray(value);
var each = (value, change) => Array.isArray(value) ? value.map(change) : value;
/**
* A recipe as version 1 wrote it (one immersion pass, one acid, depths only), in today's shape. What is today's
* already, or no recipe at all, comes back as it is: the schema says what is wrong with it.
*/
function upgradeRecipe(recipe) {
	if (!isFields(recipe) || !Array.isArray(recipe.passes)) return recipe;
	return {
		...recipe,
		passes: recipe.passes.map(upgradePass)
	};
}
function upgradePass(pass) {
	if (!isFields(pass)) return pass;
	const { acid, ...rest } = pass;
	return {
		...rest,
		...typeof pass.method === "string" && { method: { kind: pass.method } },
		..."acid" in pass && !("acids" in pass) && { acids: acid === null ? [] : [acid] },
		...Array.isArray(pass.dyes) && { dyes: pass.dyes.map(upgradeLine) }
	};
}
function upgradeLine(line) {
	if (!isFields(line) || !("dosPercent" in line) || "entry" in line) return line;
	const { dosPercent, ...rest } = line;
	return {
		...rest,
		entry: {
			school: "depth",
			percent: dosPercent
		}
	};
}
/** A whole document as version 1 wrote it, in today's shape. Anything else comes back as it is. */
function upgradeDocument(document) {
	if (!isFields(document) || document.version !== 1) return document;
	const withRecipe = (holder) => isFields(holder) ? {
		...holder,
		recipe: upgradeRecipe(holder.recipe)
	} : holder;
	return {
		...document,
		version: 2,
		..."colorways" in document && { colorways: each(document.colorways, withRecipe) },
		..."batches" in document && { batches: each(document.batches, (batch) => isFields(batch) ? {
			...batch,
			formulation: withRecipe(batch.formulation)
		} : batch) }
	};
}
// packages/core/src/shelf/common.ts
/** Identifiers are made by the client, so that a repeated request never makes a second record. */
var idSchema = z.string({ error: "An id must be text." }).regex(/^[A-Za-z0-9_-]{1,64}$/, { error: "An id holds 1 to 64 letters, digits, dashes or underscores." });
/** A name as a dyer gives it. */
var nameSchema = z.string({ error: "A name must be text." }).trim().min(1, { error: "A name cannot be empty." }).max(80, { error: "A name can have at most 80 characters." });
/** A short code to write on a tag or a jar. */
var codeSchema = z.string({ error: "A code must be text." }).trim().max(16, { error: "A code can have at most 16 characters." });
var noteSchema = z.string({ error: "A note must be text." }).max(4e3, { error: "A note can have at most 4000 characters." });
/** A screen color, sRGB, as six hexadecimal digits. */
var hexSchema = z.string({ error: "A color must be text." }).regex(/^#[0-9a-fA-F]{6}$/, { error: "A color must be # and six hexadecimal digits, such as #8a6d3b." });
/** A moment, ISO 8601 with offset. */
var instantSchema = z.iso.datetime({
	offset: true,
	error: "A time must be ISO 8601, such as 2026-03-01T14:20:00Z."
});
/** A calendar day, ISO 8601. */
var daySchema = z.iso.date({ error: "A date must be ISO 8601, such as 2026-03-01." });
/**
* The amounts of the trade. Usual ranges are common practice, no source; the possible ranges of depth (12 %)
* and stock strength (10 %) are this application's own limits.
*/
var QUANTITY_KINDS = {
	fiberMass: {
		dimension: "mass",
		unit: "g",
		noun: "mass",
		possible: [0, 1e5],
		usual: [2, 5e3],
		ladder: [
			1,
			5,
			10,
			20,
			50,
			100,
			150,
			200,
			250,
			300,
			400,
			500,
			600,
			800,
			1e3,
			1500,
			2e3
		],
		aboveZero: true
	},
	dos: {
		dimension: "percent",
		unit: "%",
		noun: "depth of shade",
		possible: [0, 12],
		usual: [.02, 4],
		ladder: [
			.025,
			.05,
			.1,
			.25,
			.5,
			1,
			2,
			3,
			4
		],
		aboveZero: true
	},
	stockStrength: {
		dimension: "percent",
		unit: "%",
		noun: "stock strength",
		possible: [0, 10],
		usual: [.05, 5],
		ladder: [
			.1,
			.25,
			.5,
			1,
			2,
			4
		],
		aboveZero: true
	},
	volume: {
		dimension: "volume",
		unit: "mL",
		noun: "volume",
		possible: [0, 2e5],
		usual: [.5, 6e4],
		ladder: [
			1,
			2.5,
			5,
			10,
			25,
			50,
			100,
			200,
			250,
			500,
			1e3,
			2e3,
			3e3,
			4e3,
			6e3,
			8e3,
			1e4
		],
		aboveZero: true
	},
	dyeMass: {
		dimension: "mass",
		unit: "g",
		noun: "dye",
		possible: [0, 2e3],
		usual: [.01, 100],
		ladder: [
			.1,
			.25,
			.5,
			1,
			2,
			4,
			5,
			10,
			20,
			50,
			100
		],
		aboveZero: true
	},
	acidPerLiter: {
		dimension: "concentration",
		unit: "g/L",
		noun: "acid per liter",
		possible: [0, 50],
		usual: [.1, 8],
		ladder: [
			.25,
			.5,
			.75,
			1,
			1.5,
			2,
			3,
			4,
			5
		]
	},
	acidPercent: {
		dimension: "percent",
		unit: "%",
		noun: "acid on weight of goods",
		possible: [0, 100],
		usual: [.3, 15],
		ladder: [
			.5,
			1,
			2,
			3,
			4,
			5,
			6,
			8,
			10
		]
	},
	acidStrength: {
		dimension: "percent",
		unit: "%",
		noun: "acid strength",
		possible: [0, 100],
		usual: [1, 100],
		ladder: [
			5,
			6,
			10,
			50,
			91.4,
			100
		],
		aboveZero: true
	},
	acidVolume: {
		dimension: "volume",
		unit: "mL",
		noun: "acid",
		possible: [0, 2e4],
		usual: [1, 2e3],
		ladder: [
			5,
			10,
			15,
			30,
			45,
			60,
			90,
			120,
			240,
			480
		]
	},
	acidMass: {
		dimension: "mass",
		unit: "g",
		noun: "acid",
		possible: [0, 5e3],
		usual: [.5, 200],
		ladder: [
			1,
			2.5,
			5,
			7.5,
			10,
			15,
			20,
			30,
			40
		]
	},
	alkalinity: {
		dimension: "number",
		unit: "",
		noun: "alkalinity",
		possible: [0, 1e3],
		usual: [0, 400],
		ladder: [
			0,
			25,
			50,
			100,
			150,
			200,
			300
		]
	},
	liquorRatio: {
		dimension: "ratio",
		unit: "mL/g",
		noun: "liquor ratio",
		possible: [2, 300],
		usual: [8, 60],
		ladder: [
			5,
			10,
			15,
			20,
			25,
			30,
			40,
			50,
			60
		]
	},
	temperature: {
		dimension: "temperature",
		unit: "°C",
		noun: "temperature",
		possible: [10, 130],
		usual: [25, 100],
		ladder: [
			30,
			60,
			75,
			80,
			82,
			85,
			88,
			90,
			93,
			95,
			98,
			100
		]
	},
	minutes: {
		dimension: "time",
		unit: "min",
		noun: "time",
		possible: [0, 4320],
		usual: [0, 1440],
		ladder: [
			5,
			10,
			15,
			20,
			25,
			30,
			40,
			45,
			60,
			90,
			120,
			180,
			480,
			720
		]
	},
	count: {
		dimension: "number",
		unit: "",
		noun: "count",
		possible: [1, 1e3],
		usual: [1, 100],
		ladder: [
			1,
			2,
			3,
			4,
			5,
			6,
			8,
			10,
			12,
			15,
			20,
			30,
			60
		],
		whole: true
	},
	fiberPercent: {
		dimension: "percent",
		unit: "%",
		noun: "fiber share",
		possible: [0, 100],
		usual: [1, 100],
		ladder: [
			5,
			10,
			15,
			20,
			25,
			30,
			40,
			50,
			60,
			70,
			75,
			80,
			90,
			100
		],
		aboveZero: true
	},
	price: {
		dimension: "number",
		unit: "",
		noun: "price",
		possible: [0, 1e5],
		usual: [0, 500],
		ladder: [
			5,
			10,
			15,
			20,
			30,
			50
		]
	},
	ph: {
		dimension: "number",
		unit: "",
		noun: "pH",
		possible: [0, 14],
		usual: [2, 8],
		ladder: [
			3,
			3.5,
			4,
			4.5,
			5,
			5.5,
			6,
			7
		]
	},
	teaspoons: {
		dimension: "volume",
		unit: "tsp",
		noun: "spoons",
		possible: [0, 768],
		usual: [.03, 48],
		ladder: [
			.125,
			.25,
			.5,
			.75,
			1,
			1.25,
			1.5,
			1.75,
			2,
			3,
			4,
			6,
			9,
			12,
			24,
			48
		],
		aboveZero: true
	},
	parts: {
		dimension: "number",
		unit: "",
		noun: "parts",
		possible: [0, 1e4],
		usual: [.1, 100],
		ladder: [
			1,
			2,
			3,
			4,
			5,
			6,
			8,
			10,
			15,
			20,
			50
		],
		aboveZero: true
	},
	inkPercent: {
		dimension: "percent",
		unit: "%",
		noun: "print value",
		possible: [0, 100],
		usual: [0, 100],
		ladder: [
			5,
			10,
			20,
			25,
			30,
			40,
			50,
			60,
			70,
			75,
			80,
			90,
			100
		]
	},
	sharePercent: {
		dimension: "percent",
		unit: "%",
		noun: "share",
		possible: [0, 100],
		usual: [3, 100],
		ladder: [
			5,
			10,
			15,
			20,
			25,
			30,
			33.3333,
			40,
			50,
			60,
			66.6667,
			70,
			75,
			80,
			90,
			100
		],
		aboveZero: true
	},
	drainPercent: {
		dimension: "percent",
		unit: "%",
		noun: "share that drains down",
		possible: [0, 90],
		usual: [0, 60],
		ladder: [
			0,
			5,
			10,
			15,
			20,
			25,
			30,
			40,
			50
		]
	},
	pickUp: {
		dimension: "ratio",
		unit: "mL/g",
		noun: "wet pick-up",
		possible: [.1, 6],
		usual: [.6, 2.5],
		ladder: [
			.6,
			.8,
			1,
			1.2,
			1.5,
			2,
			2.5
		]
	},
	citricPerGram: {
		dimension: "number",
		unit: "",
		noun: "citric per gram of dye",
		possible: [0, 100],
		usual: [0, 20],
		ladder: [
			0,
			1,
			2,
			4,
			6,
			10,
			15,
			20
		]
	},
	iceMass: {
		dimension: "mass",
		unit: "g",
		noun: "ice",
		possible: [0, 5e4],
		usual: [200, 8e3],
		ladder: [
			250,
			500,
			750,
			1e3,
			1500,
			2e3,
			3e3,
			4e3
		],
		aboveZero: true
	},
	length: {
		dimension: "length",
		unit: "cm",
		noun: "length",
		possible: [0, 300],
		usual: [1, 120],
		ladder: [
			1,
			2,
			3,
			4,
			5,
			6,
			8,
			10,
			15,
			20,
			25,
			30,
			35,
			40,
			50,
			60
		],
		aboveZero: true
	},
	altitude: {
		dimension: "length",
		unit: "m",
		noun: "altitude",
		possible: [-430, 5500],
		usual: [-430, 4e3],
		ladder: [
			0,
			250,
			500,
			750,
			1e3,
			1500,
			2e3,
			3e3,
			4e3
		]
	},
	power: {
		dimension: "power",
		unit: "W",
		noun: "power of the ring",
		possible: [20, 2e4],
		usual: [80, 4e3],
		ladder: [
			150,
			200,
			250,
			300,
			500,
			800,
			1e3,
			1200,
			1500,
			1800,
			2e3,
			2500,
			3e3,
			3500
		]
	},
	heatLoss: {
		dimension: "number",
		unit: "",
		noun: "heat loss",
		possible: [0, 100],
		usual: [1, 20],
		ladder: [
			2,
			3,
			4,
			5,
			6,
			8,
			10,
			15
		]
	},
	rampRate: {
		dimension: "number",
		unit: "°C/min",
		noun: "rise",
		possible: [.05, 20],
		usual: [.3, 5],
		ladder: [
			.5,
			.75,
			1,
			1.25,
			1.5,
			2,
			2.5,
			3,
			4
		]
	},
	roomTemperature: {
		dimension: "temperature",
		unit: "°C",
		noun: "temperature",
		possible: [0, 45],
		usual: [8, 32],
		ladder: [
			8,
			10,
			12,
			15,
			18,
			20,
			22,
			25,
			30
		]
	},
	steps: {
		dimension: "number",
		unit: "",
		noun: "number",
		possible: [1, 24],
		usual: [1, 12],
		ladder: [
			1,
			2,
			3,
			4,
			5,
			6,
			8,
			10,
			12
		],
		whole: true
	},
	graduation: {
		dimension: "number",
		unit: "",
		noun: "graduation",
		possible: [0, 1e3],
		usual: [.001, 100],
		ladder: [
			.001,
			.01,
			.05,
			.1,
			.2,
			.5,
			1,
			2,
			5,
			10,
			25
		],
		aboveZero: true
	},
	toolCapacity: {
		dimension: "number",
		unit: "",
		noun: "capacity",
		possible: [0, 5e4],
		usual: [.1, 1e4],
		ladder: [
			1,
			2.5,
			5,
			10,
			20,
			25,
			50,
			100,
			250,
			500,
			1e3,
			2e3
		],
		aboveZero: true
	},
	topUp: {
		dimension: "volume",
		unit: "mL",
		noun: "water to top up",
		possible: [0, 1e5],
		usual: [0, 2e4],
		ladder: [
			0,
			100,
			250,
			500,
			1e3,
			1500,
			2e3,
			3e3
		]
	}
};
/** Looks a kind up under its general type. */
var quantityKind = (name) => QUANTITY_KINDS[name];
US_ML["fl oz"], US_ML.qt, US_ML.gal, US_ML.pt, 12 * INCH_CM;
/**
* Holds a value against the limits of its kind.
* @param value in the canonical unit of the kind
*/
function judge(value, kindName) {
	const kind = quantityKind(kindName);
	const noun = capital(kind.noun);
	const shown = formatAmount(value, kind.unit);
	const [least, most] = kind.possible;
	if (!Number.isFinite(value)) return refuse(`${noun} is not a number.`);
	if (kind.whole && !Number.isInteger(value)) return refuse(`${noun} must be a whole number, not ${value}.`);
	if (kind.aboveZero && value <= 0) return refuse(`${noun} must be more than zero.`);
	if (value < least) return refuse(`${noun} cannot be under ${formatAmount(least, kind.unit)}; this reads as ${shown}.`);
	if (value > most) return refuse(`${noun} cannot be over ${formatAmount(most, kind.unit)}; this reads as ${shown}.`);
	if (value > kind.usual[1]) return {
		ok: true,
		value,
		remark: `That is a lot: ${shown}.`
	};
	if (value < kind.usual[0] && value > 0) return {
		ok: true,
		value,
		remark: `That is very little: ${shown}.`
	};
	return {
		ok: true,
		value
	};
}
var refuse = (problem) => ({
	ok: false,
	problem
});
var capital = (words) => words.charAt(0).toUpperCase() + words.slice(1);
// packages/core/src/shelf/quantitySchema.ts
/** A number held to the possible range of its kind, with the same sentence the field on the screen shows. */
function quantity(kindName) {
	const kind = quantityKind(kindName);
	const noun = kind.noun.charAt(0).toUpperCase() + kind.noun.slice(1);
	let schema = z.number({ error: `${noun} must be a number${kind.unit === "" ? "" : ` in ${kind.unit}`}.` });
	schema = kind.aboveZero ? schema.gt(kind.possible[0], { error: `${noun} must be more than zero.` }) : schema.gte(kind.possible[0], { error: (issue) => sentence(issue.input, kindName) });
	schema = schema.lte(kind.possible[1], { error: (issue) => sentence(issue.input, kindName) });
	return kind.whole ? schema.int({ error: `${noun} must be a whole number.` }) : schema;
}
function sentence(input, kindName) {
	const judged = judge(Number(input), kindName);
	return judged.ok ? "Not a possible amount." : judged.problem;
}
// packages/core/src/shelf/base.ts
var FORMS = [
	"skein",
	"mini",
	"top",
	"blank",
	"finished piece",
	"flat piece"
];
var fiberShareSchema = z.strictObject({
	fiber: z.enum(FIBER_NAMES, { error: `A fiber must be one of ${FIBER_NAMES.join(", ")}.` }),
	percent: quantity("fiberPercent")
});
/** A yarn base: what the studio buys undyed. */
var baseSchema = z.strictObject({
	id: idSchema,
	code: codeSchema.default(""),
	name: nameSchema,
	fibers: z.array(fiberShareSchema).min(1, { error: "A base needs at least one fiber." }).refine((shares) => Math.abs(shares.reduce((sum, share) => sum + share.percent, 0) - 100) < .01, { error: (issue) => {
		const total = issue.input.reduce((sum, share) => sum + share.percent, 0);
		return `The fibers must add up to 100 %; these add up to ${Number(total.toFixed(2))} %.`;
	} }),
	superwash: z.boolean().default(false),
	form: z.enum(FORMS, { error: `A form must be one of ${FORMS.join(", ")}.` }).default("skein"),
	putUpGrams: quantity("fiberMass"),
	/** Color of the undyed goods on screen. */
	hex: hexSchema.default("#efe9dc"),
	note: noteSchema.default(""),
	retired: z.boolean().default(false)
});
// packages/core/src/shelf/dyeClasses.ts
/** Acid dyes by the pH they are dyed at; decides how gently a bath must be led. */
var DYE_CLASSES = [
	"unknown",
	"leveling",
	"half-milling",
	"milling",
	"super-milling",
	"metal complex"
];
// packages/core/src/shelf/dye.ts
/** A dye powder. */
var dyeSchema = z.strictObject({
	id: idSchema,
	code: codeSchema.default(""),
	name: nameSchema,
	dyeClass: z.enum(DYE_CLASSES, { error: `A dye class must be one of ${DYE_CLASSES.join(", ")}.` }).default("unknown"),
	/** Grams of one level teaspoon, weighed on the studio's scale; null until it has been. */
	gramsPerTeaspoon: quantity("dyeMass").nullable().default(null),
	/** The dye's color on undyed wool at `swatchDosPercent`, for drawing only. */
	swatchHex: hexSchema,
	swatchDosPercent: quantity("dos").default(1),
	/** Strength of the jar in use against standard; 1 is standard. */
	lotStrength: z.number({ error: "Lot strength must be a number; standard is 1." }).gt(0, { error: "Lot strength must be more than zero; standard is 1." }).lte(5, { error: "Lot strength cannot be over 5; standard is 1." }).default(1),
	/** What a jar of powder cost, in cents of the studio's currency; null when not known. */
	jarPriceCents: z.int({ error: "A price must be whole cents." }).min(0, { error: "A price cannot be negative." }).nullable().default(null),
	jarGrams: quantity("dyeMass").nullable().default(null),
	/** For a premix: the powders in it, in parts by mass; empty for a single dye. A premix may hold premixes. */
	madeOf: z.array(z.strictObject({
		dyeId: idSchema,
		parts: quantity("parts")
	})).max(12, { error: "A premix can have at most 12 powders." }).default([]),
	note: noteSchema.default(""),
	retired: z.boolean().default(false)
});
// packages/core/src/shelf/pot.ts
var POT_KINDS = [
	"pot",
	"slow cooker",
	"pan",
	"steamer"
];
/** A vessel for dyeing; never goes back to food. */
var potSchema = z.strictObject({
	id: idSchema,
	name: nameSchema,
	kind: z.enum(POT_KINDS, { error: `A vessel must be one of ${POT_KINDS.join(", ")}.` }).default("pot"),
	capacityMl: quantity("volume"),
	/** Power of its ring or element, W; null when not known. */
	powerWatts: quantity("power").nullable().default(null),
	/** Share of that power that reaches the bath, %. */
	efficiencyPercent: quantity("sharePercent").default(60),
	/** Heat the empty vessel takes up, J per kelvin. */
	vesselJPerK: z.number({ error: "Vessel heat must be a number in J/K." }).gte(0, { error: "Vessel heat cannot be negative." }).lte(5e4, { error: "Vessel heat cannot be over 50000 J/K." }).default(900),
	/** Heat lost per kelvin above the room, W/K. */
	lossWPerK: z.number({ error: "Heat loss must be a number in W/K." }).gte(0, { error: "Heat loss cannot be negative." }).lte(100, { error: "Heat loss cannot be over 100 W/K." }).default(5),
	note: noteSchema.default(""),
	retired: z.boolean().default(false)
});
// packages/core/src/shelf/stock.ts
/** A jar of stock solution: one dye at one strength. */
var stockSchema = z.strictObject({
	id: idSchema,
	code: codeSchema.default(""),
	dyeId: idSchema,
	strengthPercent: quantity("stockStrength"),
	/** What the jar held when it was made, mL. */
	volumeMl: quantity("volume"),
	madeOn: daySchema.nullable().default(null),
	/** The lot of powder it was made from. */
	lot: codeSchema.default(""),
	/** What the scale settled on when it was made, g; null when nobody noted it. */
	weighedGrams: quantity("dyeMass").nullable().default(null),
	note: noteSchema.default(""),
	retired: z.boolean().default(false)
});
// packages/core/src/shelf/studio.ts
/** The water a studio dyes in, and how its pH is reckoned. */
var studioWaterSchema = z.strictObject({
	/** Alkalinity as the water supplier states it, mg/L as calcium carbonate. */
	alkalinityMgPerL: quantity("alkalinity").default(DEFAULT_WATER.alkalinityMgPerL),
	/** Whether the acid that the goods take up is counted; an estimate. */
	countFiberUptake: z.boolean({ error: "Counting the fiber’s uptake is yes or no." }).default(DEFAULT_WATER.countFiberUptake)
});
/** Where the studio stands: decides boiling point, time to heat and time to cool. */
var studioPlaceSchema = z.strictObject({
	/** Above sea level, m. */
	altitudeM: quantity("altitude").default(DEFAULT_PLACE.altitudeM),
	/** Water as it comes from the tap, °C. */
	tapC: quantity("roomTemperature").default(DEFAULT_PLACE.tapC),
	/** The room, °C. */
	roomC: quantity("roomTemperature").default(DEFAULT_PLACE.roomC)
});
/** What holds for the whole studio. */
var studioSchema = z.strictObject({
	name: nameSchema.default("My studio"),
	/** Which spoons and cups a bare `tsp` or `cup` means. */
	spoons: z.enum([
		"US",
		"metric",
		"AU"
	], { error: "Spoons must be US, metric or AU." }).default("US"),
	/** ISO 4217 code, for costs. */
	currency: z.string().regex(/^[A-Z]{3}$/, { error: "A currency must be three capital letters, such as USD or EUR." }).default("USD"),
	water: studioWaterSchema.default(DEFAULT_WATER),
	place: studioPlaceSchema.default(DEFAULT_PLACE)
});
// packages/core/src/shelf/tool.ts
/** Something to measure with. Capacity and graduation are in mL, a scale's in g. */
var toolSchema = z.strictObject({
	id: idSchema,
	name: nameSchema,
	kind: z.enum(TOOL_KINDS, { error: `A tool must be one of ${TOOL_KINDS.join(", ")}.` }).default("syringe"),
	capacity: quantity("toolCapacity"),
	/** The smallest step it can be read to; of a spoon, how closely a level spoon repeats. */
	graduation: quantity("graduation"),
	note: noteSchema.default(""),
	retired: z.boolean().default(false)
}).refine((tool) => tool.graduation <= tool.capacity, {
	path: ["graduation"],
	error: "The graduation cannot be larger than what the tool holds."
});
// packages/core/src/recipe/dyeEntrySchema.ts
/** How much dye, in the terms of the school it was said in. */
var dyeEntrySchema = z.discriminatedUnion("school", [
	z.strictObject({
		school: z.literal("depth"),
		percent: quantity("dos")
	}),
	z.strictObject({
		school: z.literal("grams"),
		grams: quantity("dyeMass")
	}),
	z.strictObject({
		school: z.literal("stock"),
		milliliters: quantity("volume")
	}),
	z.strictObject({
		school: z.literal("stock spoons"),
		teaspoons: quantity("teaspoons")
	}),
	z.strictObject({
		school: z.literal("powder spoons"),
		teaspoons: quantity("teaspoons")
	}),
	z.strictObject({
		school: z.literal("parts"),
		parts: quantity("parts")
	}),
	z.strictObject({
		school: z.literal("print"),
		inkPercent: quantity("inkPercent")
	})
], { error: "How much dye must be a depth, grams, stock, stock spoons, powder spoons, parts or print." });
// packages/core/src/recipe/methodSchema.ts
/** One section of a painted hank or one stripe of a painted blank. */
var sectionSchema = z.strictObject({
	id: idSchema,
	name: nameSchema,
	/** Share of the goods, %. */
	sharePercent: quantity("sharePercent")
});
var sectionsSchema = z.array(sectionSchema).min(1, { error: "Painting needs at least one section." }).max(12, { error: "Painting can have at most 12 sections." }).refine((sections) => sections.reduce((sum, section) => sum + section.sharePercent, 0) < 100.01, { error: "The sections come to more than 100 % of the goods." });
var panSchema = z.discriminatedUnion("shape", [z.strictObject({
	shape: z.literal("rectangular"),
	lengthCm: quantity("length"),
	widthCm: quantity("length")
}), z.strictObject({
	shape: z.literal("round"),
	diameterCm: quantity("length")
})]);
/** How a pass brings dye and goods together, with just what that way needs. */
var passMethodSchema = z.discriminatedUnion("kind", [
	z.strictObject({ kind: z.literal("immersion") }),
	z.strictObject({
		kind: z.literal("low immersion"),
		pan: panSchema,
		/** Height of the pan's wall, cm. */
		wallCm: quantity("length"),
		/** How high the liquid stands with the goods in it, cm. */
		depthCm: quantity("length"),
		turns: quantity("steps")
	}),
	z.strictObject({
		kind: z.literal("cool bath"),
		minutes: quantity("minutes"),
		temperatureC: quantity("roomTemperature")
	}),
	z.strictObject({
		kind: z.literal("glaze"),
		minutes: quantity("minutes")
	}),
	z.strictObject({
		kind: z.literal("repeated"),
		repeats: quantity("steps"),
		/** Between one dose and the next, min. */
		minutes: quantity("minutes")
	}),
	z.strictObject({
		kind: z.literal("dip"),
		sharePercent: quantity("sharePercent"),
		steps: quantity("steps"),
		minutes: quantity("minutes")
	}),
	z.strictObject({
		kind: z.literal("painting"),
		layout: z.enum([
			"across",
			"around",
			"touches"
		], { error: "Sections lie across, around, or as touches." }),
		sections: sectionsSchema,
		pickUpMlPerG: quantity("pickUp")
	}),
	z.strictObject({
		kind: z.literal("sprinkle"),
		citricPerGram: quantity("citricPerGram"),
		coverPercent: quantity("sharePercent"),
		settleMinutes: quantity("minutes")
	}),
	z.strictObject({
		kind: z.literal("ice"),
		iceGrams: quantity("iceMass"),
		meltMinutes: quantity("minutes")
	}),
	z.strictObject({
		kind: z.literal("painted stack"),
		layers: quantity("steps"),
		/** Share of what a layer is given that drains to the one below, %. */
		drainPercent: quantity("drainPercent"),
		pickUpMlPerG: quantity("pickUp")
	}),
	z.strictObject({
		kind: z.literal("blank painting"),
		sections: sectionsSchema,
		pickUpMlPerG: quantity("pickUp")
	})
], { error: "A pass must name its method, such as { \"kind\": \"immersion\" }." });
// packages/core/src/recipe/recipe.ts
/** Goods of one base: a count of put-ups, each of a mass. */
var goodsLineSchema = z.strictObject({
	id: idSchema,
	baseId: idSchema,
	count: quantity("count"),
	gramsEach: quantity("fiberMass"),
	/** The whole line as the scale showed it, dry; goes before count × nominal. Null until it is weighed. */
	weighedGrams: quantity("fiberMass").nullable().default(null),
	/** What these goods are, where that differs from the base's own form. */
	form: z.enum(FORMS, { error: `A form must be one of ${FORMS.join(", ")}.` }).nullable().default(null),
	/** Color of goods that are dyed already and are dyed over; null for undyed. */
	dyedOverHex: hexSchema.nullable().default(null),
	/** A spare that goes in last to catch what is left; its mass carries no dye in the reckoning. */
	catchUp: z.boolean({ error: "A catch-up skein is yes or no." }).default(false)
});
/** One dye in a pass: how much, in whichever school, and the jar it is poured from (null: weighed as powder). */
var dyeLineSchema = z.strictObject({
	id: idSchema,
	dyeId: idSchema,
	entry: dyeEntrySchema,
	stockId: idSchema.nullable().default(null),
	/** The painted section it is for; null is the first. */
	sectionId: idSchema.nullable().default(null)
});
var ACID_TIMES = [
	"soak",
	"start",
	"warm",
	"last",
	"with powder"
];
/** An acid dose, in the basis it was given. */
var acidDoseSchema = z.strictObject({
	material: z.enum([
		"vinegar",
		"citric",
		"citric solution"
	], { error: "An acid must be vinegar, citric or citric solution." }),
	/** Liquids: g per 100 mL; crystals: % pure. */
	strengthPercent: z.number({ error: "Acid strength must be a number in %." }).gt(0, { error: "Acid strength must be more than 0 %." }).lte(100, { error: "Acid strength cannot be over 100 %." }),
	basis: z.enum([
		"gPerL",
		"percentOfGoods",
		"amount"
	], { error: "An acid dose must be per liter, on goods or an amount." }),
	value: z.number({ error: "An acid dose must be a number." }).gte(0, { error: "An acid dose cannot be negative." }).lte(2e4, { error: "An acid dose cannot be over 20000." }),
	when: z.enum(ACID_TIMES, { error: `Acid goes in at one of ${ACID_TIMES.join(", ")}.` }).default("start")
});
/** Water of a pass: by liquor ratio (mL per g of goods), as a volume of bath (mL), or the bath that is in the pot. */
var waterSchema = z.discriminatedUnion("basis", [
	z.strictObject({
		basis: z.literal("ratio"),
		value: quantity("liquorRatio")
	}),
	z.strictObject({
		basis: z.literal("volume"),
		value: quantity("volume")
	}),
	z.strictObject({ basis: z.literal("kept") })
]);
var ARRANGEMENTS = [
	"open",
	"twisted",
	"twisted tight",
	"knotted",
	"laid flat",
	"tied sections"
];
/** How the goods lie in a pass: turns of a twist, knots or ties are counted. */
var arrangementSchema = z.strictObject({
	kind: z.enum(ARRANGEMENTS, { error: `Goods lie ${ARRANGEMENTS.join(", ")}.` }),
	count: quantity("steps").default(1)
});
/** How a pass is led hot: rise, temperature, hold. */
var heatProgramSchema = z.strictObject({
	rampCPerMin: quantity("rampRate").default(USUAL_RISE_C_PER_MIN),
	temperatureC: quantity("temperature"),
	minutes: quantity("minutes")
});
/** One time that dye and goods meet. */
var passSchema = z.strictObject({
	id: idSchema,
	method: passMethodSchema,
	/** Wet for evenness, dry on purpose for tonal change. */
	goodsGoIn: z.enum(["wet", "dry"], { error: "Goods go in wet or dry." }).default("wet"),
	arrangement: arrangementSchema.default({
		kind: "open",
		count: 1
	}),
	dyes: z.array(dyeLineSchema).min(1, { error: "A pass needs at least one dye; this recipe is empty." }).max(24, { error: "A pass can have at most 24 dyes." }),
	/** Depth that all parts of the pass together make, %. */
	partsDepthPercent: quantity("dos").default(1),
	/** Depth that a print value of 100 % stands for, %. */
	printDepthPercent: quantity("dos").default(1),
	water: waterSchema,
	acids: z.array(acidDoseSchema).max(6, { error: "A pass can have at most 6 acid doses." }),
	/** Water that will be topped up during the pass, mL; its acid goes with it. */
	topUpMl: quantity("topUp").default(0),
	heat: heatProgramSchema.nullable().default(null)
});
/** The heat set and the cool-down after it. */
var heatSetSchema = z.strictObject({
	method: z.enum(SET_METHOD_NAMES, { error: `A set must be one of ${SET_METHOD_NAMES.join(", ")}.` }),
	temperatureC: quantity("temperature"),
	minutes: quantity("minutes"),
	coolMinutes: quantity("minutes"),
	rampCPerMin: quantity("rampRate").default(USUAL_RISE_C_PER_MIN),
	/** Thickness of the wrapped bundle in steam, oven or microwave, cm. */
	bundleCm: quantity("length").default(5),
	wrap: z.enum([
		"none",
		"vented",
		"sealed"
	], { error: "A wrap is none, vented or sealed." }).default("vented")
});
/** A whole way of dyeing: goods, the passes they go through, and the set. */
var recipeSchema = z.strictObject({
	goods: z.array(goodsLineSchema).min(1, { error: "A recipe needs at least one line of goods." }).max(24, { error: "A recipe can have at most 24 lines of goods." }).refine((goods) => goods.some((line) => !line.catchUp), { error: "Something besides the catch-up skein must be dyed." }),
	/** Soak before the first pass, minutes; zero for dry goods. */
	wettingMinutes: quantity("minutes"),
	passes: z.array(passSchema).min(1, { error: "A recipe needs a pass." }).max(12, { error: "A recipe can have at most 12 passes." }).refine((passes) => passes[0]?.water.basis !== "kept", { error: "The first pass has no bath in the pot yet: give it water." }),
	/** The vessel it is usually dyed in; decides time to heat. */
	potId: idSchema.nullable().default(null),
	set: heatSetSchema
});
/** A colorway: a recipe with a name. A saved version never changes. */
var colorwaySchema = z.strictObject({
	id: idSchema,
	code: codeSchema.default(""),
	name: nameSchema,
	note: noteSchema.default(""),
	version: z.int({ error: "A version must be a whole number." }).min(1, { error: "Versions start at 1." }).default(1),
	recipe: recipeSchema,
	/** What was typed into a field, by the field's path in the recipe, where it differs from the plain number. */
	asWritten: z.record(z.string().max(200), z.string().max(100)).default({}),
	retired: z.boolean().default(false)
});
/** A recipe together with everything it names: enough to plan from, with no other data at hand. */
var formulationSchema = z.strictObject({
	name: nameSchema,
	recipe: recipeSchema,
	bases: z.array(baseSchema),
	dyes: z.array(dyeSchema),
	stocks: z.array(stockSchema),
	pot: potSchema.nullable().default(null),
	tools: z.array(toolSchema).default([]),
	spoons: z.enum([
		"US",
		"metric",
		"AU"
	]).default("US"),
	water: studioWaterSchema.default(DEFAULT_WATER),
	place: studioPlaceSchema.default(DEFAULT_PLACE)
});
// packages/core/src/recipe/cautionNames.ts
/** The dangers of the work that a step can carry. */
var CAUTION_NAMES = [
	"powder",
	"acid",
	"scald",
	"steam",
	"oven",
	"microwave",
	"unattended",
	"hotWool",
	"disposal"
];
/** Each danger in a few words. */
var CAUTION_WORDS = {
	powder: "open powder",
	acid: "acid",
	scald: "scalding water",
	steam: "steam",
	oven: "oven",
	microwave: "microwave",
	unattended: "heat",
	hotWool: "hot wool",
	disposal: "the spent bath"
};
// packages/core/src/batch/words.ts
var OUTCOMES = [
	"as wanted",
	"usable",
	"not right"
];
var STANDINGS = [
	"trial",
	"one-off",
	"regular"
];
// packages/core/src/batch/entry.ts
var stepIdSchema = z.string({ error: "A step id must be text." }).min(1, { error: "A step id cannot be empty." }).max(80);
var amountSchema = z.number({ error: "An amount must be a number." }).gt(0, { error: "An amount poured must be more than zero." }).lte(1e10, { error: "An amount poured cannot be that large." });
var unitSchema = z.enum(["mL", "g"], { error: "An amount is in mL or g." });
var asWrittenSchema = z.string().max(100).default("");
var stamp = {
	id: idSchema,
	at: instantSchema
};
/** What was added beyond the plan. */
var addedMaterialSchema = z.discriminatedUnion("kind", [
	z.strictObject({
		kind: z.literal("dye"),
		dyeId: idSchema,
		stockId: idSchema.nullable(),
		strengthPercent: quantity("stockStrength").nullable()
	}),
	z.strictObject({
		kind: z.literal("acid"),
		material: z.enum([
			"vinegar",
			"citric",
			"citric solution"
		]),
		strengthPercent: z.number().gt(0, { error: "Acid strength must be more than 0 %." }).lte(100, { error: "Acid strength cannot be over 100 %." })
	}),
	z.strictObject({ kind: z.literal("water") })
]);
/**
* One thing that happened to a batch. Entries are only ever added; taking one back is an entry too.
*/
var entrySchema = z.discriminatedUnion("kind", [
	z.strictObject({
		...stamp,
		kind: z.literal("begun"),
		stepId: stepIdSchema
	}),
	z.strictObject({
		...stamp,
		kind: z.literal("done"),
		stepId: stepIdSchema
	}),
	z.strictObject({
		...stamp,
		kind: z.literal("poured"),
		stepId: stepIdSchema,
		amount: amountSchema,
		unit: unitSchema,
		asWritten: asWrittenSchema
	}),
	z.strictObject({
		...stamp,
		kind: z.literal("added"),
		material: addedMaterialSchema,
		amount: amountSchema,
		unit: unitSchema,
		asWritten: asWrittenSchema,
		note: noteSchema.default("")
	}),
	z.strictObject({
		...stamp,
		kind: z.literal("struck"),
		entryId: idSchema,
		why: noteSchema.default("")
	}),
	z.strictObject({
		...stamp,
		kind: z.literal("checked"),
		of: z.enum([
			"bath",
			"goods",
			"rinse",
			"dry"
		], { error: "A check is of the bath, goods, rinse or dry yarn." }),
		reading: z.string({ error: "A reading must be text." }).min(1, { error: "A check needs a reading." }).max(200),
		temperatureC: quantity("temperature").nullable().default(null),
		ph: quantity("ph").nullable().default(null)
	}),
	z.strictObject({
		...stamp,
		kind: z.literal("acknowledged"),
		caution: z.enum(CAUTION_NAMES, { error: `A caution must be one of ${CAUTION_NAMES.join(", ")}.` })
	}),
	z.strictObject({
		...stamp,
		kind: z.literal("noted"),
		text: noteSchema.min(1, { error: "A note cannot be empty." })
	}),
	z.strictObject({
		...stamp,
		kind: z.literal("closed"),
		outcome: z.enum(OUTCOMES, { error: `An outcome must be one of ${OUTCOMES.join(", ")}.` }),
		standing: z.enum(STANDINGS, { error: `A standing must be one of ${STANDINGS.join(", ")}.` }),
		note: noteSchema.default("")
	})
]);
// packages/core/src/amounts/tally.ts
/** Grams of dye in one addition of stock or of dry powder. */
function additionGrams(addition) {
	if (addition.unit === "g") return addition.amount;
	return gramsInStock(addition.amount, addition.strengthPercent ?? 0);
}
// packages/core/src/batch/batchState.ts
/** Entries that still count: everything not struck, and no strikes themselves. */
function standingEntries(entries) {
	const struck = new Set(entries.flatMap((entry) => entry.kind === "struck" ? [entry.entryId] : []));
	return {
		standing: entries.filter((entry) => entry.kind !== "struck" && !struck.has(entry.id)),
		struck
	};
}
/**
* Folds a batch's entries over its plan.
* @param startedAt when the batch was begun, ISO 8601
*/
function batchState(plan, dyes, entries, startedAt) {
	const { standing, struck } = standingEntries(entries);
	const steps = plan.steps.map((step) => stepState(step, standing));
	const current = steps.find((state) => state.status !== "done") ?? null;
	const added = standing.filter((entry) => entry.kind === "added");
	return {
		steps,
		current,
		dueAt: current?.status === "running" && current.begunAt && current.step.wait ? later(current.begunAt, current.step.wait.value) : null,
		since: entries.at(-1)?.at ?? startedAt,
		added,
		checks: standing.filter((entry) => entry.kind === "checked"),
		notes: standing.filter((entry) => entry.kind === "noted"),
		acknowledged: standing.flatMap((entry) => entry.kind === "acknowledged" ? [entry.caution] : []),
		closed: standing.filter((entry) => entry.kind === "closed").at(-1) ?? null,
		struck,
		bath: bathNow$1(steps, added, dyes)
	};
}
function stepState(step, standing) {
	const state = {
		step,
		status: "waiting",
		begunAt: null,
		doneAt: null,
		entryId: null,
		poured: null
	};
	for (const entry of standing) {
		if (!("stepId" in entry) || entry.stepId !== step.id) continue;
		if (entry.kind === "begun") {
			state.status = "running";
			state.begunAt = entry.at;
		} else {
			state.status = "done";
			state.doneAt = entry.at;
			if (entry.kind === "poured") state.poured = {
				amount: entry.amount,
				unit: entry.unit,
				asWritten: entry.asWritten
			};
		}
		state.entryId = entry.id;
	}
	return state;
}
var later = (iso, minutes) => new Date(Date.parse(iso) + minutes * 6e4).toISOString();
/** Level and color of the bath from what has been poured. Color is for drawing only. */
function bathNow$1(steps, added, dyes) {
	const inPot = [...steps.flatMap(({ step, poured }) => step.measure && poured && step.measure.material.kind !== "dilution" ? [{
		material: step.measure.material,
		...poured
	}] : []), ...added];
	const volumeMl = inPot.reduce((sum, { material, amount, unit }) => sum + (unit === "mL" || material.kind === "ice" ? amount : 0), 0);
	if (volumeMl === 0) return {
		volumeMl,
		hex: drawnBathColor([])
	};
	return {
		volumeMl,
		hex: drawnBathColor(inPot.flatMap(({ material, amount, unit }) => {
			if (material.kind !== "dye") return [];
			const dye = dyes.find((candidate) => candidate.id === material.dyeId);
			if (!dye) return [];
			const grams = additionGrams({
				amount,
				unit,
				strengthPercent: material.strengthPercent ?? 0
			});
			return [{
				swatchHex: dye.swatchHex,
				swatchDosPercent: dye.swatchDosPercent,
				gramsPerLiter: 1e3 * grams / volumeMl
			}];
		}))
	};
}
// packages/core/src/batch/admit.ts
/**
* Decides whether an entry may join a batch's record.
* @throws FieldError naming the field when it may not: an unknown step, dye or entry, a wrong unit, a step
* already poured, or a pour after the batch was closed
*/
function admitEntry(entry, plan, dyes, earlier) {
	const { standing, struck } = standingEntries(earlier);
	const closed = standing.some((other) => other.kind === "closed");
	if (closed && ![
		"noted",
		"checked",
		"closed",
		"struck"
	].includes(entry.kind)) throw new FieldError("kind", "This batch is closed. Only notes, checks and a new verdict can still be added.");
	if ("stepId" in entry) admitStep(entry, plan, standing);
	if (entry.kind === "struck") {
		const target = earlier.find((other) => other.id === entry.entryId);
		if (!target) throw new FieldError("entryId", `There is no entry “${entry.entryId}” in this batch to take back.`);
		if (target.kind === "struck") throw new FieldError("entryId", "A taking-back cannot itself be taken back; make the entry again.");
		if (struck.has(entry.entryId)) throw new FieldError("entryId", "That entry was already taken back.");
		if (closed && target.kind !== "closed") throw new FieldError("entryId", "This batch is closed. Take the verdict back first.");
	}
	if (entry.kind === "added") admitAdded(entry, dyes);
	if (entry.kind === "acknowledged" && standing.some((other) => other.kind === "acknowledged" && other.caution === entry.caution)) throw new FieldError("caution", "This caution was acknowledged already in this batch.");
}
function admitStep(entry, plan, standing) {
	const step = plan.steps.find((candidate) => candidate.id === entry.stepId);
	if (!step) throw new FieldError("stepId", `This batch has no step “${entry.stepId}”.`);
	if (standing.some((other) => "stepId" in other && other.stepId === step.id && other.kind !== "begun")) throw new FieldError("stepId", `“${step.title}” is already done. Take it back first to change it.`);
	if (entry.kind === "poured") {
		if (!step.measure) throw new FieldError("stepId", `“${step.title}” has no amount to pour.`);
		if (step.measure.unit !== entry.unit) throw new FieldError("unit", `“${step.title}” is measured in ${step.measure.unit}, not ${entry.unit}.`);
	}
	if (entry.kind === "done" && step.measure) throw new FieldError("amount", `“${step.title}” needs the amount that was poured.`);
	if (entry.kind === "begun" && !step.wait) throw new FieldError("stepId", `“${step.title}” has nothing to wait for.`);
}
function admitAdded(entry, dyes) {
	const { material, unit } = entry;
	if (material.kind === "water" && unit !== "mL") throw new FieldError("unit", "Water is measured in mL.");
	if (material.kind === "acid" && unit !== (material.material === "citric" ? "g" : "mL")) throw new FieldError("unit", material.material === "citric" ? "Citric crystals are measured in g." : "A liquid acid is measured in mL.");
	if (material.kind !== "dye") return;
	if (!dyes.some((dye) => dye.id === material.dyeId)) throw new FieldError("material.dyeId", `There is no dye with the id “${material.dyeId}”. Name one that is on the shelf.`);
	if (unit === "mL" && material.strengthPercent === null) throw new FieldError("material.strengthPercent", "Stock poured in mL needs its strength in % w/v.");
}
// packages/core/src/batch/batch.ts
/** A batch: the formulation as it stood when the dyeing began, and everything that happened since. */
var batchSchema = z.strictObject({
	id: idSchema,
	code: codeSchema.default(""),
	name: nameSchema,
	colorwayId: idSchema.nullable().default(null),
	colorwayVersion: z.int().min(1).nullable().default(null),
	/** The batch this one repeats. */
	againOf: idSchema.nullable().default(null),
	startedAt: instantSchema,
	formulation: formulationSchema,
	entries: z.array(entrySchema).default([])
});
// packages/core/src/recipe/pattern.ts
/** A pass kept to be used again in other colorways. */
var patternSchema = z.strictObject({
	id: idSchema,
	name: nameSchema,
	pass: passSchema,
	note: noteSchema.default(""),
	retired: z.boolean().default(false)
});
/** The one open document: what the application exports and imports, and what `plan` reads. */
var documentSchema = z.strictObject({
	format: z.literal("ythrion", { error: "The field “format” must be \"ythrion\"." }),
	version: z.literal(2, { error: `This application reads documents of version 1 to 2.` }),
	studio: studioSchema.optional(),
	bases: z.array(baseSchema).default([]),
	dyes: z.array(dyeSchema).default([]),
	stocks: z.array(stockSchema).default([]),
	pots: z.array(potSchema).default([]),
	tools: z.array(toolSchema).default([]),
	patterns: z.array(patternSchema).default([]),
	/** One item per saved version; versions of one colorway share its id. */
	colorways: z.array(colorwaySchema).default([]),
	batches: z.array(batchSchema).default([])
});
// packages/core/src/document/readDocument.ts
/** A document that cannot be taken, with everything that is wrong with it. */
var DocumentError = class extends Error {
	problems;
	name = "DocumentError";
	constructor(problems) {
		super(problems.map(({ field, message }) => field === "" ? message : `${field}: ${message}`).join("\n"));
		this.problems = problems;
	}
};
/**
* Reads a parsed JSON value as a document: shape, ranges, and that every id names something.
* @param known what is already on the shelf, so that a document may refer to it
* @throws DocumentError with every problem found
*/
function readDocument(value, known = {
	bases: [],
	dyes: [],
	stocks: []
}) {
	const parsed = documentSchema.safeParse(upgradeDocument(value));
	if (!parsed.success) throw new DocumentError(problemsOf(parsed.error.issues));
	const document = parsed.data;
	const problems = [...duplicates(document), ...references(document, known)];
	if (problems.length > 0) throw new DocumentError(problems);
	return document;
}
/** Schema issues as problems in a dyer's words. */
function problemsOf(issues) {
	return issues.map((issue) => ({
		field: issue.path.map(String).join("."),
		message: issue.code === "unrecognized_keys" ? `There is no field ${(issue.keys ?? []).map((key) => `“${key}”`).join(", ")} here.` : issue.message
	}));
}
function duplicates(document) {
	const found = [];
	const check = (list, keys) => {
		const seen = /* @__PURE__ */ new Set();
		keys.forEach((key, i) => {
			if (seen.has(key)) found.push({
				field: `${list}.${i}.id`,
				message: `The id “${key}” stands here twice.`
			});
			seen.add(key);
		});
	};
	for (const list of [
		"bases",
		"dyes",
		"stocks",
		"pots",
		"tools",
		"patterns"
	]) check(list, document[list].map((item) => item.id));
	check("colorways", document.colorways.map((item) => `${item.id} version ${item.version}`));
	check("batches", document.batches.map((item) => item.id));
	return found;
}
function references(document, known) {
	const shelf = {
		bases: [...document.bases, ...known.bases],
		dyes: [...document.dyes, ...known.dyes],
		stocks: [...document.stocks, ...known.stocks]
	};
	const problems = [];
	const attempt = (prefix, work) => {
		try {
			work();
		} catch (error) {
			if (!(error instanceof FieldError)) throw error;
			problems.push({
				field: `${prefix}.${error.field}`,
				message: error.message
			});
		}
	};
	document.dyes.forEach((dye, i) => attempt(`dyes.${i}`, () => void singleDyes(dye.id, 1, shelf.dyes)));
	document.stocks.forEach((stock, i) => {
		if (!shelf.dyes.some((dye) => dye.id === stock.dyeId)) problems.push({
			field: `stocks.${i}.dyeId`,
			message: `There is no dye with the id “${stock.dyeId}”. Name one that is on the shelf.`
		});
	});
	document.colorways.forEach((colorway, i) => attempt(`colorways.${i}`, () => {
		planFormulation(formulate(colorway.name, colorway.recipe, shelf));
	}));
	document.batches.forEach((batch, i) => attempt(`batches.${i}`, () => checkBatch(batch, shelf)));
	return problems;
}
function checkBatch(batch, shelf) {
	const { formulation } = batch;
	formulate(batch.name, formulation.recipe, {
		...formulation,
		pots: [],
		studio: void 0
	});
	const plan = planFormulation(formulation);
	const dyes = [...formulation.dyes, ...shelf.dyes];
	batch.entries.forEach((entry, i) => {
		try {
			admitEntry(entry, plan, dyes, batch.entries.slice(0, i));
		} catch (error) {
			if (error instanceof FieldError) throw new FieldError(`entries.${i}.${error.field}`, error.message);
			throw error;
		}
	});
}
// packages/core/src/batch/acidTotal.ts
/** All acid as grams of the acid most of it came from, other acids by equal equivalents. */
function acidTotal(additions) {
	const doses = additions.flatMap(({ material, amount }) => {
		if (material.kind !== "acid") return [];
		const pure = pureAcidGrams(amount, material.strengthPercent);
		return [{
			material: material.material,
			strengthPercent: material.strengthPercent,
			equivalents: pure * ACIDS[material.material].protons / ACIDS[material.material].molarMass
		}];
	});
	const main = doses.toSorted((a, b) => b.equivalents - a.equivalents)[0];
	if (!main) return null;
	const facts = ACIDS[main.material];
	const grams = doses.reduce((sum, dose) => sum + dose.equivalents, 0) * facts.molarMass / facts.protons;
	const mixed = doses.some((dose) => dose.material !== main.material);
	return {
		material: main.material,
		strengthPercent: main.strengthPercent,
		grams: figure(grams, "g", mixed ? "two acids, added up by equal equivalents" : `sum of ${doses.length} additions`, mixed ? "estimate" : "exact")
	};
}
// packages/core/src/batch/departures.ts
/** Where a record departs from its plan, one sentence each. */
function departures(plan, standing, found) {
	const poured = new Map(standing.flatMap((entry) => entry.kind === "poured" ? [[entry.stepId, entry]] : []));
	const lines = plan.steps.flatMap((step) => {
		if (!step.measure) return [];
		const entry = poured.get(step.id);
		if (!entry) return step.kind === "dye" ? [`${step.title}: not ticked, so it did not go in.`] : [];
		const asked = step.measure.amount.value;
		if (Math.abs(entry.amount - asked) <= .005 * asked) return [];
		return [`${step.title}: ${formatAmount(entry.amount, entry.unit)} instead of ${formatAmount(asked, entry.unit)}.`];
	});
	for (const entry of standing) {
		if (entry.kind !== "added") continue;
		const { material } = entry;
		const what = material.kind === "dye" ? found.find((dye) => dye.dyeId === material.dyeId)?.dyeName ?? "dye" : material.kind === "acid" ? ACIDS[material.material].label : "water";
		lines.push(`Also added: ${formatAmount(entry.amount, entry.unit)} of ${what}.`);
	}
	return lines;
}
// packages/core/src/batch/potAdditions.ts
/**
* Everything that went into the pot, in order. What nobody planned belongs to the pass whose steps were being done
* when it was added.
*/
function potAdditions(plan, standing) {
	const steps = new Map(plan.steps.map((step) => [step.id, step]));
	let passId = plan.passes[0]?.id ?? "";
	return standing.flatMap((entry) => {
		if ("stepId" in entry) passId = steps.get(entry.stepId)?.passId ?? passId;
		if (entry.kind === "added") return [{
			passId,
			stepId: null,
			material: entry.material,
			unit: entry.unit,
			amount: entry.amount
		}];
		if (entry.kind !== "poured") return [];
		const material = steps.get(entry.stepId)?.measure?.material;
		if (!material || material.kind === "dilution") return [];
		return [{
			passId,
			stepId: entry.stepId,
			material,
			unit: entry.unit,
			amount: entry.amount
		}];
	});
}
/** Grams of dye in one addition; zero for water, acid and ice. */
function dyeGramsOf({ material, unit, amount }) {
	return material.kind === "dye" ? additionGrams({
		unit,
		amount,
		strengthPercent: material.strengthPercent ?? 0
	}) : 0;
}
/** The jar that most of a dye came from. */
function mainJar(additions) {
	const parts = additions.map(dyeGramsOf);
	const material = additions[parts.indexOf(Math.max(...parts))]?.material;
	return material?.kind === "dye" ? material.stockId : null;
}
/** Planned water that nobody ticked, mL. @param passId only of this pass */
function untickedWater(plan, standing, passId) {
	return plan.steps.filter((step) => step.kind === "water" && !step.id.endsWith("top-up") && (passId === void 0 || step.passId === passId) && !standing.some((entry) => entry.kind === "poured" && entry.stepId === step.id)).reduce((sum, step) => sum + (step.measure?.amount.value ?? 0), 0);
}
// packages/core/src/batch/trueRecipe.ts
/**
* The recipe as it was really dyed, pass by pass, every dye as a depth. A pass that got no dye is left out.
* @param dyes every dye that went in
*/
function trueRecipe(formulation, plan, additions, standing, dyes) {
	const { recipe } = formulation;
	const passes = recipe.passes.flatMap((pass) => {
		const mine = additions.filter((addition) => addition.passId === pass.id);
		const lines = trueLines(pass, mine, plan.wog.value, dyes);
		return lines.length === 0 ? [] : [truePass(pass, lines, mine, plan, standing)];
	});
	const [first] = passes;
	const bath = plan.passes.find((pass) => pass.id === first?.id)?.bath.value ?? 0;
	return {
		...recipe,
		passes: passes.map((pass) => pass === first && pass.water.basis === "kept" ? {
			...pass,
			water: {
				basis: "volume",
				value: bath
			}
		} : pass)
	};
}
function trueLines(pass, additions, wogGrams, dyes) {
	const keyed = /* @__PURE__ */ new Map();
	for (const addition of additions) {
		if (addition.material.kind !== "dye") continue;
		const key = lineOf(pass, addition)?.id ?? addition.material.dyeId;
		keyed.set(key, [...keyed.get(key) ?? [], addition]);
	}
	return [...keyed].map(([id, mine]) => {
		const planned = pass.dyes.find((line) => line.id === id);
		const material = mine[0]?.material;
		const dyeId = planned?.dyeId ?? (material?.kind === "dye" ? material.dyeId : "");
		const dye = named(dyes, dyeId, "dyeId", "dye");
		const grams = mine.reduce((sum, addition) => sum + dyeGramsOf(addition), 0);
		const line = {
			id,
			dyeId,
			entry: {
				school: "depth",
				percent: 0
			},
			stockId: mainJar(mine),
			sectionId: planned?.sectionId ?? null
		};
		const share = lineShare(pass, line, passShare(pass.method));
		return {
			...line,
			entry: {
				school: "depth",
				percent: depthOfShade(grams, wogGrams * share, dye.lotStrength)
			}
		};
	});
}
/** The planned line an addition belongs to: its own, or for an unplanned one the first of the same dye. */
function lineOf(pass, { material }) {
	if (material.kind !== "dye") return void 0;
	return "lineId" in material ? pass.dyes.find((line) => line.id === material.lineId) : pass.dyes.find((line) => line.dyeId === material.dyeId);
}
function truePass(pass, dyes, additions, plan, standing) {
	const planned = plan.passes.find((candidate) => candidate.id === pass.id);
	const grams = planned?.goods.value ?? plan.wog.value;
	const liquid = additions.reduce((sum, { unit, amount }) => sum + (unit === "mL" ? amount : 0), 0) + untickedWater(plan, standing, pass.id);
	const bathMl = keepsBath(pass) ? planned?.bath.value ?? liquid : liquid;
	const { method, acids } = trueAcids(pass, additions, dyes, bathMl);
	return {
		...pass,
		method: methodFacts(pass.method.kind).liquid === "paint" ? withPickUp(method, bathMl / grams) : method,
		dyes,
		water: keepsBath(pass) ? pass.water : {
			basis: "ratio",
			value: bathMl / grams
		},
		acids,
		topUpMl: 0
	};
}
function withPickUp(method, pickUpMlPerG) {
	return "pickUpMlPerG" in method && pickUpMlPerG > .1 && pickUpMlPerG <= 6 ? {
		...method,
		pickUpMlPerG
	} : method;
}
/** Acid that went in, one dose for each time it was planned; citric that powder was cut with stays with the powder. */
function trueAcids(pass, additions, dyes, bathMl) {
	const acid = additions.filter(({ material }) => material.kind === "acid");
	const cutId = pass.method.kind === "sprinkle" ? acid.find(({ stepId }) => stepId?.includes("acid") && isCut(pass, stepId))?.stepId : void 0;
	const cut = acid.filter(({ stepId }) => stepId !== null && stepId === cutId);
	const rest = acid.filter((addition) => !cut.includes(addition));
	const powder = additions.reduce((sum, addition) => sum + dyeGramsOf(addition), 0);
	const method = pass.method.kind === "sprinkle" ? {
		...pass.method,
		citricPerGram: powder > 0 ? cut.reduce((sum, { amount }) => sum + amount, 0) / powder : 0
	} : pass.method;
	const total = acidTotal(rest);
	if (!total || bathMl <= 0 || dyes.length === 0) return {
		method,
		acids: []
	};
	return {
		method,
		acids: [{
			material: total.material,
			strengthPercent: total.strengthPercent,
			basis: "gPerL",
			value: total.grams.value / (bathMl / 1e3),
			when: pass.acids[0]?.when ?? "start"
		}]
	};
}
/** The cut is the acid dose after all the decided ones. */
function isCut(pass, stepId) {
	const decided = pass.acids.filter((dose) => dose.value > 0).length;
	return stepId.endsWith(decided === 0 ? "acid" : `acid-${decided + 1}`);
}
// packages/core/src/batch/actualRecipe.ts
/**
* The inverse of the plan: from what was really poured back to % depth of shade.
* Every standing entry counts once, each in its own unit; a planned line that was never ticked did not go in.
* @param dyes every dye the entries may name
*/
function actualRecipe(formulation, plan, entries, dyes) {
	const { standing } = standingEntries(entries);
	const additions = potAdditions(plan, standing);
	const known = [...formulation.dyes, ...dyes];
	const found = actualDyes(plan, additions, known);
	return {
		dyes: found,
		bath: bathInAll(plan, additions, standing),
		acidPure: acidTotal(additions),
		departures: departures(plan, standing, found),
		recipe: found.length === 0 ? null : trueRecipe(formulation, plan, additions, standing, known)
	};
}
function actualDyes(plan, additions, dyes) {
	const wog = plan.wog.value;
	const planned = plan.passes.flatMap((pass) => pass.pours);
	const poured = additions.filter((addition) => addition.material.kind === "dye");
	return [...new Set(poured.flatMap(({ material }) => material.kind === "dye" ? [material.dyeId] : []))].map((dyeId) => {
		const mine = poured.filter(({ material }) => material.kind === "dye" && material.dyeId === dyeId);
		const parts = mine.map(dyeGramsOf);
		const total = parts.reduce((sum, part) => sum + part, 0);
		const dye = named(dyes, dyeId, "dyeId", "dye");
		const asked = planned.filter((pour) => pour.dyeId === dyeId);
		return {
			dyeId,
			dyeName: dye.name,
			stockId: mainJar(mine),
			grams: figure(total, "g", mine.map((addition, i) => `${plainAmount(addition)} = ${formatAmount(parts[i] ?? 0, "g")}`).join(" + ")),
			dos: figure(depthOfShade(total, wog, dye.lotStrength), "%", `100 × ${formatAmount(total, "g")} ÷ ${formatAmount(wog, "g")} of goods`),
			plannedDos: asked.length === 0 ? null : asked.reduce((sum, pour) => sum + depthOfShade(pour.grams.value, wog, pour.lotStrength), 0),
			additions: mine.length
		};
	});
}
function plainAmount({ unit, amount, material }) {
	return unit === "mL" && material.kind === "dye" ? `${formatAmount(amount, "mL")} of ${material.strengthPercent} %` : formatAmount(amount, unit);
}
/** Liquid that went into the pot, over every pass; planned water stands in where nobody ticked it. */
function bathInAll(plan, additions, standing) {
	const poured = additions.reduce((sum, { unit, amount }) => sum + (unit === "mL" ? amount : 0), 0);
	const missing = untickedWater(plan, standing);
	return missing === 0 ? figure(poured, "mL", "everything liquid that was poured") : figure(poured + missing, "mL", `${formatAmount(poured, "mL")} poured + ${formatAmount(missing, "mL")} planned water, which was not ticked`);
}
// packages/core/src/batch/summary.ts
/** Sums a batch up from its record: what really went in, as soon as something has. */
function summarizeBatch(batch, entries, dyes) {
	const { formulation } = batch;
	const plan = planFormulation(formulation);
	const state = batchState(plan, [...formulation.dyes, ...dyes], entries, batch.startedAt);
	const actual = actualRecipe(formulation, plan, entries, dyes);
	const planned = takenTogether(plan);
	const used = actual.dyes.length > 0 ? actual.dyes.map((dye) => ({
		dyeId: dye.dyeId,
		name: dye.dyeName,
		dos: dye.dos.value
	})) : planned;
	const undyedHex = plan.goods[0]?.undyedHex ?? "#efe9dc";
	return {
		id: batch.id,
		code: batch.code,
		name: batch.name,
		colorwayId: batch.colorwayId,
		startedAt: batch.startedAt,
		closedAt: state.closed?.at ?? null,
		wogGrams: plan.wog.value,
		dosPercent: used.reduce((sum, dye) => sum + dye.dos, 0),
		bases: plan.goods.map((line) => `${line.count} × ${line.baseName}`).join(", "),
		dyes: used.map((dye) => dye.name).join(", "),
		undyedHex,
		hex: colorOf(formulation, plan, actual.recipe, undyedHex, [...formulation.dyes, ...dyes]),
		outcome: state.closed?.outcome ?? null,
		standing: state.closed?.standing ?? null
	};
}
/** Planned dyes over every pass, each on all the goods. */
function takenTogether(plan) {
	const sums = /* @__PURE__ */ new Map();
	for (const { dyeId, dyeName, grams, lotStrength } of plan.passes.flatMap((pass) => pass.pours)) {
		const dos = depthOfShade(grams.value, plan.wog.value, lotStrength);
		const known = sums.get(dyeId);
		if (known) known.dos += dos;
		else sums.set(dyeId, {
			dyeId,
			name: dyeName,
			dos
		});
	}
	return [...sums.values()];
}
/** Color of the first goods: from what really went in, pass by pass, or as planned while nothing has. */
function colorOf(formulation, plan, recipe, undyedHex, dyes) {
	if (recipe === null) return plan.goods[0]?.dyedHex ?? undyedHex;
	const bounded = recipe.passes.map((pass) => ({
		...pass,
		dyes: pass.dyes.map((line) => ({
			...line,
			stockId: null,
			entry: {
				school: "depth",
				percent: Math.min(12, entryAmount(line.entry))
			}
		}))
	}));
	return planFormulation({
		...formulation,
		recipe: {
			...recipe,
			passes: bounded
		},
		dyes: [...dyes],
		stocks: [],
		tools: []
	}).goods[0]?.dyedHex ?? undyedHex;
}
// packages/core/src/batch/additionChoices.ts
/** An addition's material in words. */
function addedName(material, dyes) {
	if (material.kind === "water") return "water";
	if (material.kind === "acid") return ACIDS[material.material].label;
	const dye = dyes.find((candidate) => candidate.id === material.dyeId)?.name ?? "a dye";
	return material.strengthPercent === null ? `${dye} powder` : `${dye} ${material.strengthPercent} %`;
}
// packages/core/src/batch/entryWords.ts
/** One entry of a record as a sentence. */
function entryWords(entry, plan, dyes) {
	const title = (stepId) => plan.steps.find((step) => step.id === stepId)?.title ?? stepId;
	const written = "asWritten" in entry && entry.asWritten !== "" ? ` (“${entry.asWritten}”)` : "";
	switch (entry.kind) {
		case "begun": return `${title(entry.stepId)}: begun`;
		case "done": return `${title(entry.stepId)}: done`;
		case "poured": return `${title(entry.stepId)}: ${formatAmount(entry.amount, entry.unit)}${written}`;
		case "added": return `Also added ${formatAmount(entry.amount, entry.unit)}${written} of ${addedName(entry.material, dyes)}`;
		case "struck": return "Took an entry back";
		case "checked": return `Check, ${entry.of}: ${entry.reading}`;
		case "acknowledged": return `Acknowledged: caution about ${CAUTION_WORDS[entry.caution]}`;
		case "noted": return entry.text;
		case "closed": return `Closed: ${entry.outcome}, ${entry.standing}${entry.note === "" ? "" : `. ${entry.note}`}`;
	}
}
// packages/core/src/acid/correctPh.ts
/**
* From a measured pH to the acid still missing: the measurement tells what water and fiber really take up, and the
* charge balance says how much acid is due on top. An estimate that rests on the measurement, not on the expected pH.
* @param measured pH read in the bath, 0 to 14
* @param wished pH to reach
* @param acids pure acids already in the bath, g
* @param liters bath, L
*/
function correctPh(measured, wished, acids, liters, material, strengthPercent) {
	const weak = molarAcids(acids, liters);
	const strongBase = strongBaseAt(measured, { acids: weak });
	const molar = measured <= wished ? 0 : acidForPh(acidName(material), wished, {
		acids: weak,
		strongBase
	});
	const facts = ACIDS[material];
	const add = 100 * molar * liters * facts.molarMass / strengthPercent;
	const because = `pH ${measured.toFixed(2)} measured means ${(1e3 * strongBase).toFixed(1)} meq/L taken up by water and goods; ${(1e3 * molar).toFixed(1)} mmol/L more ${facts.acid} brings it to pH ${wished.toFixed(2)}`;
	return {
		add: figure(add, facts.unit, because, "estimate", "charge balance from the measured pH"),
		after: figure(bathPh({
			acids: [...weak, {
				name: acidName(material),
				molar
			}],
			strongBase
		}), "pH", because, "estimate", "charge balance from the measured pH")
	};
}
// packages/core/src/recipe/goodsInBath.ts
/** The goods that a pass reaches, by mass and content, as its bath takes acid up; a catch-up skein is not in it yet. */
function goodsInBath({ recipe, bases }, pass) {
	const share = passShare(pass.method);
	return recipe.goods.filter((line) => !line.catchUp).map((line) => ({
		grams: lineGrams(line) * share,
		fibers: named(bases, line.baseId, "recipe.goods", "yarn base").fibers
	}));
}
// packages/core/src/batch/phAdvice.ts
/** The bath as it stands: the pass being dyed, the acid and liquid really in it. */
function bathNow(formulation, plan, entries) {
	const { standing } = standingEntries(entries);
	const additions = potAdditions(plan, standing);
	const passId = additions.at(-1)?.passId ?? plan.passes[0]?.id;
	const pass = formulation.recipe.passes.find((candidate) => candidate.id === passId);
	const planned = plan.passes.find((candidate) => candidate.id === passId);
	if (!pass || !planned) return null;
	const mine = additions.filter((addition) => addition.passId === passId);
	const poured = mine.reduce((sum, { unit, amount }) => sum + (unit === "mL" ? amount : 0), 0);
	const kept = keepsBath(pass) ? planned.bath.value : 0;
	return {
		pass,
		planned,
		acids: [...planned.acidsBefore, ...mine.flatMap(({ material, amount }) => material.kind === "acid" ? [{
			material: material.material,
			pureGrams: pureAcidGrams(amount, material.strengthPercent)
		}] : [])],
		liters: Math.max(1, kept + poured + untickedWater(plan, standing, passId)) / 1e3
	};
}
/** pH that the bath should show now, with what has really gone into it and the goods in. */
function bathPhNow(formulation, plan, entries) {
	const bath = bathNow(formulation, plan, entries);
	if (!bath) return 7;
	return expectedPh(bath.acids, bath.liters, goodsInBath(formulation, bath.pass), formulation.water).pH.value;
}
/**
* What the latest measured pH asks for. The measurement overrides the expected pH: the acid still due is reckoned from
* it. @returns null while nothing was measured
*/
function phAdvice(formulation, plan, entries) {
	const { standing } = standingEntries(entries);
	const measured = standing.findLast((entry) => entry.kind === "checked" && entry.ph !== null);
	const bath = bathNow(formulation, plan, entries);
	if (measured?.kind !== "checked" || measured.ph === null || !bath) return null;
	const window = bath.planned.phWindow;
	const stands = measured.ph > window[1] ? "above" : measured.ph < window[0] ? "below" : "in";
	if (stands !== "above") return {
		measured: measured.ph,
		window,
		stands,
		correction: null
	};
	const dose = bath.pass.acids.at(-1);
	const material = dose?.material ?? "vinegar";
	const strengthPercent = dose?.strengthPercent ?? ACIDS[material].usualStrength;
	const wished = (window[0] + window[1]) / 2;
	return {
		measured: measured.ph,
		window,
		stands,
		correction: {
			...correctPh(measured.ph, wished, bath.acids, bath.liters, material, strengthPercent),
			label: ACIDS[material].label,
			strengthPercent,
			wished
		}
	};
}
// packages/core/src/process/place.ts
/** The directions in which goods have places. On one axis places overlap by their intervals; axes are independent. */
var AXES = [
	"around",
	"along",
	"layer"
];
var share = z.number({ error: "A place is a share from 0 to 1." }).min(0, { error: "A place cannot begin before 0." }).max(1, { error: "A place cannot end after 1." });
var stretch = {
	axis: z.enum(AXES, { error: `A place lies ${AXES.join(", ")}.` }),
	from: share,
	to: share
};
var inOrder = ({ from, to }) => from < to;
var IN_ORDER = {
	path: ["to"],
	error: "A place must end after it begins."
};
z.strictObject(stretch).refine(inOrder, IN_ORDER);
z.strictObject({
	piece: idSchema.nullable(),
	...stretch
}).refine(inOrder, IN_ORDER);
/** All of every piece. */
var EVERYWHERE = {
	piece: null,
	axis: "around",
	from: 0,
	to: 1
};
// packages/core/src/record/cardOf/scene.ts
/** What every act carries: its pass (none for the set and the finish), line and purpose. */
var of = ({ pass, setting }, purpose, line = null) => ({
	pass: setting ? null : pass.id,
	line,
	purpose
});
/** A role within its pass. */
var idIn = ({ pass, setting }, role) => setting ? role : `${pass.id}.${role}`;
/** Which time this is, from 1. */
function nthTime({ counts, pass }, what) {
	const key = `${pass.id} ${what}`;
	const nth = (counts.get(key) ?? 0) + 1;
	counts.set(key, nth);
	return nth;
}
/** From the end of the goods up to a share of their length. */
var along = (to) => ({
	axis: "along",
	from: 0,
	to: Math.min(1, to)
});
/** A move of what is in one place to another. */
var moved = (scene, role, from, to, much) => ({
	id: idIn(scene, role),
	act: {
		kind: "move",
		...of(scene, "paint"),
		from,
		to,
		ml: "ml" in much ? much.ml : null,
		share: "share" in much ? much.share : null,
		holds: null
	}
});
// packages/core/src/record/cardOf/paintActs.ts
/** Painting: cups filled up, and each emptied onto its section, lightest first as they were put down. */
function paint(step, scene) {
	const { pass, planned, prefix } = scene;
	if (pass.method.kind === "painted stack") return paintStack(scene, pass.method);
	const sections = sectionsOf(pass.method);
	const at = sections.findIndex((section) => step.id === `${prefix}paint-${section.id}`);
	const section = sections[at];
	if (!section) return [];
	const cup = `cup.${pass.id}.${section.id}`;
	const part = planned.parts.find(({ id }) => id === section.id);
	const fillUp = part?.fillUp?.value ?? 0;
	const before = sections.slice(0, at).reduce((sum, { sharePercent }) => sum + sharePercent / 100, 0);
	const place = {
		piece: null,
		axis: pass.method.kind === "blank painting" || layoutOf(pass) === "across" ? "along" : "around",
		from: Math.min(before, 1),
		to: Math.min(1, before + section.sharePercent / 100)
	};
	return [...fillUp > 0 ? [{
		...moved(scene, `move.fill.${section.id}`, { vessel: `cup.${pass.id}.water` }, { vessel: cup }, { ml: fillUp }),
		quiet: true
	}] : [], {
		...moved(scene, `paint.${section.id}`, { vessel: cup }, { place }, { share: 1 }),
		madeUp: {
			ml: part?.paint?.value ?? 0,
			tool: ""
		}
	}].map((written) => ({
		...written,
		act: {
			...written.act,
			line: section.id
		}
	}));
}
var layoutOf = ({ method }) => method.kind === "painting" ? method.layout : "";
/** A stack is painted layer by layer from the top; what a layer does not keep drains to the one below. */
function paintStack(scene, { layers, drainPercent }) {
	const layer = (i) => ({ place: {
		piece: null,
		axis: "layer",
		from: i / layers,
		to: (i + 1) / layers
	} });
	const cup = `cup.${scene.pass.id}.all`;
	const water = `cup.${scene.pass.id}.water`;
	const quietly = (role, from, to, share) => ({
		...moved(scene, role, from, to, { share }),
		quiet: true
	});
	return [
		quietly("move.fill", { vessel: water }, { vessel: cup }, 1),
		...Array.from({ length: layers - 1 }, (_, i) => [quietly(`paint.layer${i + 1}`, { vessel: cup }, layer(i), 1 / (layers - i)), ...drainPercent > 0 ? [quietly(`drain.layer${i + 1}`, layer(i), layer(i + 1), drainPercent / 100)] : []]).flat(),
		moved(scene, `paint.layer${layers}`, { vessel: cup }, layer(layers - 1), { share: 1 })
	];
}
// packages/core/src/record/cardOf/waitActs.ts
/** The vessel of each way to set that is not the bath itself. */
var SET_VESSELS = {
	steam: "steamer",
	oven: "oven",
	microwave: "microwave"
};
/** Goods out of wherever they are. */
var lift = (scene) => ({
	id: idIn(scene, "lift"),
	quiet: true,
	act: {
		kind: "lift",
		...of(scene, null),
		goods: [],
		keepsMlPerGram: null
	}
});
/** A wait without heat. */
function standing(step, scene) {
	const { pass, vessel, prefix } = scene;
	const role = [
		"settle",
		"melt",
		"rest"
	].find((name) => step.id === `${prefix}${name}`) ?? "rest";
	return {
		id: idIn(scene, `stand.${role}`),
		act: {
			kind: "stand",
			...of(scene, role),
			vessel: role === "melt" ? `ice.${pass.id}` : vessel,
			minutes: step.wait?.value ?? null,
			leaves: null
		}
	};
}
/** Goods that are set away from the bath are lifted, squeezed, wrapped and laid in, which goes without saying. */
function liftedOut(scene) {
	const { set } = scene.formulation.recipe;
	const vessel = SET_VESSELS[set.method];
	if (!scene.setting || vessel === void 0) return [];
	return [
		{
			...lift(scene),
			id: "lift.set"
		},
		...set.wrap === "none" ? [] : [{
			id: "handle.wrap",
			quiet: true,
			act: {
				kind: "handle",
				...of(scene, "set"),
				goods: [],
				what: "wrap",
				lies: null
			}
		}],
		{
			id: "place.set",
			quiet: true,
			act: {
				kind: "place",
				...of(scene, "set"),
				goods: [],
				vessel,
				reach: "none",
				lies: null,
				wet: true
			}
		}
	];
}
/** Where the set happens. */
var setVessel = ({ formulation, vessel }) => SET_VESSELS[formulation.recipe.set.method] ?? vessel;
/** A rise. */
function heating(step, scene) {
	const { formulation, pass, vessel } = scene;
	const ramp = scene.setting ? formulation.recipe.set.rampCPerMin : pass.heat?.rampCPerMin ?? null;
	return {
		id: idIn(scene, step.id.endsWith("warm") ? "heat.warm" : "heat"),
		act: {
			kind: "heat",
			...of(scene, scene.setting ? "set" : "bath"),
			vessel: scene.setting ? setVessel(scene) : vessel,
			toC: step.toC ?? null,
			rampCPerMin: ramp,
			minutes: step.wait?.value ?? null
		}
	};
}
/** A hold, and what is done to the goods during it. */
function holding(step, scene) {
	const { pass, vessel } = scene;
	const hold = (role, purpose, untilClear) => ({
		id: idIn(scene, role),
		act: {
			kind: "hold",
			...of(scene, purpose),
			vessel,
			atC: step.toC ?? null,
			minutes: step.wait?.value ?? null,
			untilClear,
			leaves: untilClear ? 0 : null,
			onHeat: step.onHeat
		}
	});
	if (pass.method.kind === "dip" && step.id !== `${scene.prefix}bath-hold`) return dipHold(step, scene, hold);
	if (pass.method.kind === "repeated" && step.id !== `${scene.prefix}bath-hold`) return [{
		...hold("hold.strike", "strike", true),
		dose: {
			nth: nthTime(scene, "strike"),
			of: pass.method.repeats
		}
	}];
	return [...(pass.method.kind === "low immersion" ? pass.method.turns : 0) > 0 ? [{
		id: idIn(scene, "handle.turn"),
		quiet: true,
		act: {
			kind: "handle",
			...of(scene, null),
			goods: [],
			what: "turn",
			lies: null
		}
	}] : [], hold("hold", "bath", true)];
}
/** Each step of a dip is a hold, and the goods are lifted by one step before the next. */
function dipHold(step, scene, hold) {
	const { method } = scene.pass;
	if (method.kind !== "dip") return [];
	const nth = Array.from({ length: method.steps }, (_, i) => i + 1).find((i) => step.id === `${scene.prefix}dip-${i}`);
	if (nth === void 0) return [];
	const reach = along(method.sharePercent / 100 * ((method.steps - nth + 1) / method.steps));
	return [...nth === 1 ? [] : [{
		id: idIn(scene, `place.dip${nth}`),
		quiet: true,
		act: {
			kind: "place",
			...of(scene, "dip"),
			goods: [],
			vessel: scene.vessel,
			reach,
			lies: null,
			wet: true
		}
	}], {
		...hold(`hold.dip${nth}`, "dip", nth === method.steps),
		dose: {
			nth,
			of: method.steps
		}
	}];
}
/** The hold of the set. */
function setHold(step, scene) {
	return {
		id: "hold.set",
		act: {
			kind: "hold",
			...of(scene, "set"),
			vessel: setVessel(scene),
			atC: step.toC ?? null,
			minutes: step.wait?.value ?? null,
			untilClear: false,
			leaves: null,
			onHeat: step.onHeat
		}
	};
}
// packages/core/src/record/cardOf/stepActs.ts
/** The acts of one step: one that has a line on the card, and the quiet ones around it. */
function actsOf(step, scene) {
	switch (step.kind) {
		case "wet": return soak(step, scene);
		case "arrange": return arrange(step, scene);
		case "water": return [...emptied(scene, step), water(step, scene)];
		case "dilute": return dilution(step, scene);
		case "dye": return [dye(step, scene)];
		case "acid": return [acid(step, scene)];
		case "ice": return [{
			id: idIn(scene, "put.ice"),
			act: {
				kind: "put",
				...of(scene, null),
				material: { kind: "ice" },
				amount: step.measure?.amount.value ?? null,
				unit: "g",
				into: { vessel: `ice.${scene.pass.id}` }
			}
		}];
		case "goods": return goodsIn(step, scene);
		case "paint": return paint(step, scene);
		case "wait": return [standing(step, scene)];
		case "heat": return [...liftedOut(scene), heating(step, scene)];
		case "hold": return holding(step, scene);
		case "set": return [setHold(step, scene)];
		case "cool": return [{
			id: "cool",
			act: {
				kind: "cool",
				...of(scene, "set"),
				vessel: setVessel(scene),
				toC: step.toC ?? null,
				minutes: step.wait?.value ?? null
			}
		}];
		case "rinse": return [{
			id: "rinse",
			act: {
				kind: "rinse",
				...of(scene, null),
				goods: [],
				soap: true
			}
		}];
		case "dry": return [{
			id: "wring",
			quiet: true,
			act: {
				kind: "wring",
				...of(scene, null),
				goods: []
			}
		}, {
			id: "dry",
			act: {
				kind: "dry",
				...of(scene, null),
				goods: []
			}
		}];
	}
}
function soak(step, scene) {
	return [{
		id: idIn(scene, "place.soak"),
		quiet: true,
		act: {
			kind: "place",
			...of(scene, "soak"),
			goods: [],
			vessel: "soak",
			reach: null,
			lies: null,
			wet: false
		}
	}, {
		id: idIn(scene, "stand.soak"),
		act: {
			kind: "stand",
			...of(scene, "soak"),
			vessel: "soak",
			minutes: step.wait?.value ?? null,
			leaves: null
		}
	}];
}
/** Tying before a pass, and between the doses of a repeated one. */
function arrange(step, scene) {
	const between = step.id !== `${scene.prefix}arrange`;
	const tie = {
		id: idIn(scene, between ? "handle.re-tie" : "handle.tie"),
		act: {
			kind: "handle",
			...of(scene, between ? "dose" : null),
			goods: [],
			what: "re-tie",
			lies: scene.pass.arrangement
		}
	};
	return scene.index === 0 && !between ? [tie] : [lift(scene), tie];
}
/** The bath before is poured off when a later pass runs its own into the same vessel. */
function emptied(scene, step) {
	const { index, pass, vessel, prefix } = scene;
	const runsBath = step.id === `${prefix}water`;
	if (index === 0 || !runsBath || methodFacts(pass.method.kind).liquid === "paint") return [];
	return [{
		id: idIn(scene, "move.drain"),
		quiet: true,
		act: {
			kind: "move",
			...of(scene, null),
			from: { vessel },
			to: null,
			ml: null,
			share: 1,
			holds: null
		}
	}];
}
function water(step, scene) {
	const { pass, prefix, vessel, formulation } = scene;
	const topUp = step.id === `${prefix}top-up`;
	const paints = methodFacts(pass.method.kind).liquid === "paint" && !topUp;
	return {
		id: idIn(scene, topUp ? "run.top-up" : "run.bath"),
		act: {
			kind: "run",
			...of(scene, topUp ? "top up" : paints ? "paint" : "bath"),
			vessel: paints ? `cup.${pass.id}.water` : vessel,
			ml: step.measure?.amount.value ?? null,
			celsius: formulation.place.tapC
		}
	};
}
function dilution(step, scene) {
	const material = step.measure?.material;
	const pour = scene.planned.pours.find(({ stepId }) => step.id === `${stepId}-dilute`);
	if (material?.kind !== "dilution" || !pour?.dilution) return [];
	const vessel = `dilution.${scene.pass.id}.${pour.lineId}`;
	return [{
		id: idIn(scene, `put.dilution.${pour.lineId}`),
		tool: {
			name: pour.dilution.takeWith,
			fills: 1
		},
		madeUp: {
			ml: pour.dilution.makeUp.value,
			tool: pour.dilution.makeUpWith
		},
		act: {
			kind: "put",
			...of(scene, "dilution", pour.lineId),
			material: {
				kind: "dye",
				dyeId: material.dyeId,
				stockId: material.stockId,
				strengthPercent: material.strengthPercent,
				lotStrength: pour.lotStrength
			},
			amount: step.measure?.amount.value ?? null,
			unit: "mL",
			into: { vessel }
		}
	}, {
		id: idIn(scene, `run.dilution.${pour.lineId}`),
		quiet: true,
		act: {
			kind: "run",
			...of(scene, "dilution", pour.lineId),
			vessel,
			ml: pour.dilution.makeUp.value - pour.dilution.take.value,
			celsius: scene.formulation.place.tapC
		}
	}];
}
/** Where a line's dye goes. */
function dyeEnd({ pass, vessel }, sectionId) {
	switch (pass.method.kind) {
		case "painting":
		case "blank painting": return { vessel: `cup.${pass.id}.${sectionId ?? "all"}` };
		case "painted stack": return { vessel: `cup.${pass.id}.all` };
		case "sprinkle": return { place: EVERYWHERE };
		case "ice": return { vessel: `ice.${pass.id}` };
		default: return { vessel };
	}
}
function dye(step, scene) {
	const material = step.measure?.material;
	if (material?.kind !== "dye") throw new RangeError(`The step ${step.id} measures no dye.`);
	const pour = scene.planned.pours.find(({ lineId }) => lineId === material.lineId);
	const nth = nthTime(scene, material.lineId);
	const into = dyeEnd(scene, pour.sectionId);
	const amount = step.measure?.amount.value ?? null;
	const unit = step.measure?.unit ?? "mL";
	const put = {
		kind: "dye",
		dyeId: material.dyeId,
		stockId: material.stockId,
		strengthPercent: material.strengthPercent,
		lotStrength: material.lotStrength
	};
	return {
		id: idIn(scene, `dye.${material.lineId}${nth === 1 ? "" : `.dose${nth}`}`),
		tool: pour.dilution ? {
			name: pour.dilution.pourWith,
			fills: 1
		} : pour.measured ? {
			name: pour.measured.toolName,
			fills: pour.measured.fills
		} : null,
		askedGrams: pour.grams.value / pour.doses,
		dose: pour.doses > 1 ? {
			nth,
			of: pour.doses
		} : null,
		act: material.diluted ? {
			kind: "move",
			...of(scene, "dose", material.lineId),
			from: { vessel: `dilution.${scene.pass.id}.${material.lineId}` },
			to: into,
			ml: amount,
			share: null,
			holds: put
		} : {
			kind: "put",
			...of(scene, "dose", material.lineId),
			material: put,
			amount,
			unit,
			into
		}
	};
}
var ACID_PURPOSE = {
	soak: "soak",
	start: "bath",
	warm: "warm",
	last: "late",
	"with powder": "with powder"
};
function acidPurpose(step, { pass, planned, prefix }) {
	if (step.id === `${prefix}acid-melt`) return "melt";
	if (step.id === `${prefix}top-up-acid`) return "top up";
	const at = planned.acids.findIndex(({ stepId }) => stepId === step.id);
	if (at >= pass.acids.filter((dose) => dose.value > 0).length) return "cut";
	return ACID_PURPOSE[planned.acids[at]?.when ?? "start"];
}
function acid(step, scene) {
	const material = step.measure?.material;
	if (material?.kind !== "acid") throw new RangeError(`The step ${step.id} measures no acid.`);
	const purpose = acidPurpose(step, scene);
	const { pass, vessel } = scene;
	const dry = purpose === "cut" || purpose === "with powder";
	const paints = methodFacts(pass.method.kind).liquid === "paint" && purpose === "bath";
	return {
		id: idIn(scene, `acid.${purpose.replace(" ", "-")}`),
		act: {
			kind: "put",
			...of(scene, purpose),
			material: {
				kind: "acid",
				acid: material.material,
				strengthPercent: material.strengthPercent
			},
			amount: step.measure?.amount.value ?? null,
			unit: step.measure?.unit ?? "mL",
			into: purpose === "soak" ? { vessel: "soak" } : dry && pass.method.kind === "sprinkle" ? { place: EVERYWHERE } : { vessel: paints ? `cup.${pass.id}.water` : vessel }
		}
	};
}
function goodsIn(step, scene) {
	const { pass, index, vessel, formulation } = scene;
	const { recipe } = formulation;
	if (step.id === "catch-up") return [{
		id: "place.catch-up",
		act: {
			kind: "place",
			...of(scene, "catch up"),
			goods: recipe.goods.filter((line) => line.catchUp).map((line) => line.id),
			vessel,
			reach: null,
			lies: null,
			wet: true
		}
	}];
	const { method } = pass;
	return [{
		id: idIn(scene, "place.goods"),
		dose: method.kind === "repeated" ? {
			nth: nthTime(scene, "goods"),
			of: method.repeats
		} : null,
		act: {
			kind: "place",
			...of(scene, null),
			goods: [],
			vessel,
			reach: method.kind === "dip" ? along(method.sharePercent / 100) : null,
			lies: pass.arrangement,
			wet: index > 0 || pass.goodsGoIn === "wet" && recipe.wettingMinutes > 0
		}
	}];
}
// packages/core/src/record/cardOf/cardOf.ts
var PANS = ["low immersion", "painted stack"];
var PAINTED = ["painting", "blank painting"];
/** The vessel that goods lie in during a pass, by its role. */
var vesselOf = ({ method }) => PANS.includes(method.kind) ? "pan" : PAINTED.includes(method.kind) ? "wrap" : "pot";
/** Roles of the vessels that acts name by id. */
function roleOf(vessel) {
	if (vessel.startsWith("cup.")) return "paint cup";
	if (vessel.startsWith("dilution.")) return "working dilution";
	if (vessel.startsWith("ice.")) return "melting ice";
	if (vessel.startsWith("soak")) return "soak";
	return vessel;
}
/**
* The card of a batch that begins: the plan's steps as acts, each step one act with a line of its own, and beside it
* the quiet ones that go without saying.
* @param plan the plan of this formulation
*/
function cardOf(formulation, plan) {
	const { recipe } = formulation;
	const scenes = recipe.passes.flatMap((pass, index) => {
		const planned = plan.passes[index];
		return planned ? [{
			formulation,
			pass,
			planned,
			index,
			prefix: stepPrefix(pass, index),
			vessel: vesselOf(pass),
			counts: /* @__PURE__ */ new Map(),
			setting: false
		}] : [];
	});
	const acts = plan.steps.flatMap((step) => {
		const own = scenes.find(({ pass }) => pass.id === step.passId);
		const last = scenes.at(-1);
		const scene = own ?? (last && {
			...last,
			setting: true
		});
		return scene ? actsOf(step, scene).map((written) => stepFacts(written, step)) : [];
	});
	return {
		version: 1,
		acts: uniquely([
			...bringGoods(formulation),
			...bringVessels(formulation, acts),
			...acts
		]),
		passes: scenes.map(passFacts)
	};
}
/** What a step's own act takes over from it; the quiet ones beside it carry nothing. */
function stepFacts(written, step) {
	if (written.quiet) return written;
	return {
		...written,
		cautions: step.cautions,
		estimated: step.wait?.sureness === "estimate"
	};
}
/** Fills up what was left out, and gives a role that stands twice a number. */
function uniquely(acts) {
	const seen = /* @__PURE__ */ new Map();
	return acts.map((written) => {
		const times = (seen.get(written.id) ?? 0) + 1;
		seen.set(written.id, times);
		return {
			quiet: false,
			tool: null,
			madeUp: null,
			askedGrams: null,
			estimated: false,
			dose: null,
			cautions: [],
			...written,
			id: times === 1 ? written.id : `${written.id}:${times}`
		};
	});
}
function passFacts({ pass, planned }) {
	return {
		id: pass.id,
		kind: pass.method.kind,
		goodsGrams: planned.goods.value,
		bathMl: planned.bath.value,
		keepsBath: keepsBath(pass),
		acidsBefore: planned.acidsBefore.map(({ material, pureGrams }) => ({
			material,
			pureGrams
		})),
		phWindow: [planned.phWindow[0], planned.phWindow[1]]
	};
}
function bringGoods({ recipe, bases }) {
	return recipe.goods.map((line) => {
		const base = named(bases, line.baseId, "recipe.goods", "yarn base");
		return {
			id: `bring.goods.${line.id}`,
			quiet: true,
			act: {
				kind: "bring",
				pass: null,
				line: line.id,
				purpose: line.catchUp ? "catch up" : null,
				thing: {
					kind: "goods",
					name: base.name,
					baseId: base.id,
					form: line.form ?? base.form,
					count: line.count,
					grams: lineGrams(line),
					dyeableShare: dyeableShare(base.fibers),
					catchUp: line.catchUp,
					from: null
				}
			}
		};
	});
}
/** Every vessel that an act names, once. The one the batch was begun in carries its name on the shelf. */
function bringVessels({ pot }, acts) {
	const ids = [...new Set(acts.flatMap(({ act }) => vesselsNamed(act)))];
	const main = ids.find((id) => id === "pot" || id === "pan" || id === "wrap");
	return ids.map((id) => ({
		id: `bring.vessel.${id}`,
		quiet: true,
		act: {
			kind: "bring",
			pass: null,
			line: null,
			purpose: null,
			thing: {
				kind: "vessel",
				vessel: id,
				role: roleOf(id),
				name: id === main ? pot?.name ?? "" : "",
				shelfId: id === main ? pot?.id ?? null : null,
				capacityMl: id === main ? pot?.capacityMl ?? null : null
			}
		}
	}));
}
var endVessel = (end) => end && "vessel" in end ? [end.vessel] : [];
function vesselsNamed(act) {
	if (act.kind === "put") return endVessel(act.into);
	if (act.kind === "move") return [...endVessel(act.from), ...endVessel(act.to)];
	return "vessel" in act && act.vessel !== null ? [act.vessel] : [];
}
export { DocumentError, METHODS, METHOD_KINDS, actualRecipe, batchState, bathPhNow, cardOf, entrySchema, entryWords, formulate, formulationSchema, phAdvice, planFormulation, potAdditions, readDocument, recipeSchema, standingEntries, summarizeBatch, upgradeRecipe };
