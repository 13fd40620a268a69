//! What the description says of refusals: every one of them is a problem document, whatever it is about.

use utoipa::openapi::path::Operation;
use utoipa::openapi::{Content, OpenApi, PathItem, Ref, RefOr, Response, ResponseBuilder};

/// The media type of every refusal.
const PROBLEM: &str = "application/problem+json";
/// Refusals any request can meet: of its path, query, body, method or size, of who sends it; and what broke here.
const ANY: [(&str, &str); 2] = [
    ("4XX", "Refused, with a sentence that says what would be right"),
    ("5XX", "Not done, with a sentence that says why"),
];

/// States the refusals of every operation.
pub(super) fn with_refusals(mut description: OpenApi) -> OpenApi {
    for operation in description.paths.paths.values_mut().flat_map(operations) {
        for (status, response) in &mut operation.responses.responses {
            if let RefOr::T(response) = response
                && status.starts_with(['4', '5'])
            {
                let stated = std::mem::take(&mut response.content).into_values();
                response.content = stated.map(|content| (PROBLEM.to_owned(), content)).collect();
            }
        }
        for (status, says) in ANY {
            operation.responses.responses.insert(status.to_owned(), RefOr::T(problem(says)));
        }
    }
    description
}

fn problem(says: &str) -> Response {
    let schema = Ref::from_schema_name("Problem");
    ResponseBuilder::new().description(says).content(PROBLEM, Content::new(Some(schema))).build()
}

fn operations(item: &mut PathItem) -> impl Iterator<Item = &mut Operation> {
    let PathItem { get, put, post, delete, .. } = item;
    [get, put, post, delete].into_iter().flatten()
}
