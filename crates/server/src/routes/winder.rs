//! The winder: its counter, read; the simulated one, started and stopped.

use axum::Json;
use axum::extract::State as Shared;
use lorimant_core::bench::counter;
use lorimant_core::fault::{Fault, Faults, Span};
use lorimant_core::tool::coil::Winding;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use crate::extract::Body;
use crate::problem::Problem;
use crate::state::State;
use lorimant_text::{Text, text};

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(read_winder)).routes(routes!(run_winder))
}

/// What the winder shows.
#[derive(Serialize, ToSchema)]
struct WinderReading {
    /// The line as it came.
    line: String,
    /// Whole turns that lie on the rod.
    turns_n: u32,
    /// Whether it is the simulated winder.
    simulated: bool,
    /// What can hurt while a powered rod turns.
    caution: &'static str,
}

/// Reads the winder's counter.
#[utoipa::path(get, path = "/api/winder",
    responses((status = 200, body = WinderReading), (status = 422, body = Problem), (status = 503, body = Problem)))]
async fn read_winder(Shared(state): Shared<State>) -> Result<Json<WinderReading>, Problem> {
    let winder = &state.instruments.winder;
    let line = winder
        .line()
        .await
        .map_err(|error| Problem::no_device("winder", &error, text!("api-winder-count-by-hand")))?;
    let (turns_n, simulated) = (counter::read(&line)?, winder.spindle().is_some());
    Ok(Json(WinderReading { line, turns_n, simulated, caution: Winding::SlowDrill.danger() }))
}

/// What the simulated winder is told.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields, rename_all = "kebab-case")]
enum Treadle {
    /// Wind on from so many turns until so many lie.
    Run {
        /// Turns that lie already.
        from_n: f64,
        /// Turns at which it stops by itself.
        to_n: f64,
    },
    /// Stop.
    Stop,
}

/// Starts or stops the simulated winder; a real one has a treadle for that.
#[utoipa::path(post, path = "/api/winder/treadle", request_body = Treadle,
    responses((status = 200, body = WinderReading), (status = 422, body = Problem)))]
async fn run_winder(
    Shared(state): Shared<State>,
    Body(treadle): Body<Treadle>,
) -> Result<Json<WinderReading>, Problem> {
    const TURNS: Span =
        Span { noun: Text::named("api-winder-turns-2"), unit: "", least: 0.0, most: 100_000.0 };
    let Some(spindle) = state.instruments.winder.spindle() else {
        return Err(Fault::new("run", text!("api-winder-real-winder-connected-use-its")).into());
    };
    match treadle {
        Treadle::Run { from_n, to_n } => {
            let mut faults = Faults::none();
            faults.keep(TURNS.check("run.from_n", from_n));
            faults.keep(TURNS.check("run.to_n", to_n));
            faults.into_result()?;
            spindle.run(from_n, to_n);
        }
        Treadle::Stop => spindle.stop(),
    }
    read_winder(Shared(state)).await
}
