//! Plans as a table: one line a plan, its inputs and its main figures.

use super::plain;
use crate::kept::KeptPlan;

const HEADINGS: [&str; 22] = [
    "name",
    "note",
    "rings_n",
    "metal",
    "temper",
    "section",
    "size_mm",
    "rod",
    "rod_shape",
    "rod_diameter_mm",
    "winding",
    "cutting",
    "blade",
    "ring_inside_diameter_mm",
    "ring_outside_diameter_mm",
    "aspect_ratio",
    "turns_wound",
    "coils_n",
    "wire_length_mm",
    "wire_mass_g",
    "strain_used",
    "opening_force_n",
];

/// Writes the table as CSV with a line of headings.
pub(crate) fn write(plans: &[KeptPlan]) -> anyhow::Result<String> {
    let mut table = csv::Writer::from_writer(vec![]);
    table.write_record(HEADINGS)?;
    for kept in plans {
        let request = &kept.request;
        let plan = request.plan()?;
        let sawn = request.cutting.method == lorimant_core::tool::cutting::Method::Saw;
        let blade = if sawn { request.cutting.blade_for(request.wire.size_mm).word() } else { "" };
        table.write_record([
            plain(&kept.name),
            plain(&kept.note),
            request.rings_n.to_string(),
            request.wire.metal.word().to_owned(),
            request.wire.temper.word().to_owned(),
            request.wire.section.word().to_owned(),
            request.wire.size_mm.to_string(),
            plain(request.mandrel.name.as_deref().unwrap_or_default()),
            request.mandrel.shape.word().to_owned(),
            request.mandrel.diameter_mm.to_string(),
            request.winding.word().to_owned(),
            request.cutting.method.word().to_owned(),
            blade.to_owned(),
            format!("{:.4}", plan.ring_inside_diameter_mm),
            format!("{:.4}", plan.ring_outside_diameter_mm),
            format!("{:.4}", plan.aspect_ratio),
            format!("{:.3}", plan.turns_wound),
            plan.coils_n.to_string(),
            format!("{:.2}", plan.wire_length_mm),
            format!("{:.3}", plan.wire_mass_g),
            format!("{:.4}", plan.strain_used),
            format!("{:.3}", plan.opening_force_n),
        ])?;
    }
    Ok(String::from_utf8(table.into_inner().map_err(|error| anyhow::anyhow!("{error}"))?)?)
}
